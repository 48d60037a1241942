package kalodyne.desktop.model;

import kalodyne.core.recording.Speakers;

/** Says once that nothing can be heard, where a computer has no sound output. */
public final class Deafness {
    private final Speakers speakers;
    private final StudioModel studio;
    private boolean isTold;

    public Deafness(Speakers speakers, StudioModel studio) {
        this.speakers = speakers;
        this.studio = studio;
    }

    /**
     * Once something was played. Call on the screen's thread.
     *
     * @param instead what there is all the same; may be empty
     */
    public void tell(String instead) {
        if (!speakers.isHeard() && !isTold) {
            isTold = true;
            studio.notice("Nothing can be heard", ("This computer offers no sound output. " + instead).strip());
        }
    }

    /** The same speakers, which say it as soon as they are used. */
    Speakers telling() {
        return new Speakers() {
            @Override
            public boolean isHeard() {
                return speakers.isHeard();
            }

            @Override
            public Ear open(int sampleRateHz, double seconds) {
                Ear ear = speakers.open(sampleRateHz, seconds);
                studio.onScreen(() -> tell(""));
                return new Telling(ear);
            }
        };
    }

    /** Says it in the middle too, where an output is pulled out. */
    private final class Telling implements Speakers.Ear {
        private final Speakers.Ear ear;
        private boolean wasHeard = speakers.isHeard();

        Telling(Speakers.Ear ear) {
            this.ear = ear;
        }

        @Override
        public void give(float[] left, float[] right, int count) throws InterruptedException {
            ear.give(left, right, count);
            if (wasHeard && !speakers.isHeard()) {
                wasHeard = false;
                studio.onScreen(() -> tell("It was there a moment ago."));
            }
        }

        @Override
        public long heard() {
            return ear.heard();
        }

        @Override
        public void close() {
            ear.close();
        }
    }
}
