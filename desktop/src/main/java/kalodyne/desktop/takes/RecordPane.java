package kalodyne.desktop.takes;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import javafx.util.StringConverter;
import kalodyne.core.levels.LevelPlan;
import kalodyne.core.recording.InputDevice;
import kalodyne.core.recording.LiveMeter;
import kalodyne.core.recording.TestTake;
import kalodyne.core.units.DigitalLevel;
import kalodyne.core.units.Print;
import kalodyne.desktop.control.Styled;

/** Recording a test take: the input, the meter, what to play now, and how loud it was so far. */
final class RecordPane extends VBox {
    private static final int PER_SECOND = 30;
    private static final double COUNTDOWN_SECONDS = 3;

    private final RecordingModel recording;
    private final Runnable closed;
    private final Runnable told;
    private final ComboBox<InputDevice> inputs = new ComboBox<>();
    private final ComboBox<Integer> channels = new ComboBox<>();
    private final Label instruction = new Label();
    private final Label left = new Label();
    private final LevelBars bars = new LevelBars();
    private final Label loudest = new Label();
    private final VBox steps = new VBox(3);
    private final Label knobs = new Label();
    private final Button record = new Button("Record");
    private final Button close = new Button("Close");
    private final Timeline clock = new Timeline(new KeyFrame(Duration.seconds(1.0 / PER_SECOND), event -> tick()));
    private double countdown;
    private boolean isOpen;
    private boolean isFilling;

    /**
     * A pane that listens to nothing.
     *
     * @param closed when it is to go away
     * @param told whenever it asks for something else
     */
    RecordPane(RecordingModel recording, Runnable closed, Runnable told) {
        super(12);
        this.recording = recording;
        this.closed = closed;
        this.told = told;
        setId("record-pane");
        getStyleClass().add("record-pane");
        clock.setCycleCount(Animation.INDEFINITE);
        Styled.of(instruction).id("record-instruction").as("instruction").wrap();
        Styled.of(left).id("record-left").as("instruction", "second");
        Styled.of(loudest).id("record-loudest").wrap();
        Styled.of(record).id("record-start").as("primary");
        record.setDefaultButton(true);
        record.setOnAction(event -> recordOrStop());
        Styled.of(close).id("record-close").action(() -> leave());
        HBox words = new HBox(14, instruction, left);
        words.setAlignment(Pos.BASELINE_LEFT);
        HBox.setHgrow(instruction, Priority.SOMETIMES);
        Label legend = new Label(
                "Bar: average. Short mark: peak. Thin line: loudest so far. Green: where the loudest peak should be.");
        Styled.of(legend).as("second", "small").wrap();
        Styled.of(knobs).as("second").wrap();
        for (TestTake.Part part : TestTake.parts()) {
            Label step = Styled.of(new Label(Print.decimal(part.seconds(), 0) + " s  " + part.words()))
                    .wrap()
                    .node();
            steps.getChildren().add(step);
        }
        getChildren()
                .addAll(
                        from(),
                        words,
                        bars,
                        legend,
                        loudest,
                        new HBox(10, record, close),
                        heading("A test take"),
                        steps,
                        heading("Knobs as they stand"),
                        knobs);
        recording.stateProperty().addListener(change -> show());
        recording.inputsProperty().addListener(change -> fill());
        fill();
        show();
    }

    private static Label heading(String words) {
        Label heading = Styled.of(new Label(words)).as("section").node();
        return heading;
    }

    private Node from() {
        inputs.setId("record-input");
        inputs.setConverter(new InputNames());
        inputs.setOnAction(event -> choose());
        channels.setId("record-channel");
        channels.setConverter(new ChannelNames());
        channels.setOnAction(event -> choose());
        FlowPane from = new FlowPane(10, 6, new Label("Record from"), inputs, channels);
        from.setAlignment(Pos.CENTER_LEFT);
        return from;
    }

    /** Begins to listen. */
    void open() {
        countdown = 0;
        mark(-1);
        recording.open();
        isOpen = recording.state() != RecordingModel.State.IDLE;
        clock.play();
        record.requestFocus();
    }

    /** Whether somebody is about to record, or does. */
    boolean isOpen() {
        return isOpen;
    }

    private void shut() {
        isOpen = false;
        clock.stop();
        closed.run();
        told.run();
    }

    private void fill() {
        isFilling = true;
        List<InputDevice> all = recording.inputsProperty().get();
        inputs.getItems().setAll(all);
        inputs.setValue(recording.device());
        fillChannels(recording.device().channels());
        isFilling = false;
    }

    private void fillChannels(int count) {
        channels.getItems().clear();
        channels.getItems().add(0);
        for (int channel = 1; channel <= count; channel++) {
            channels.getItems().add(channel);
        }
        channels.setValue(
                recording.channel().stream().map(each -> each + 1).findFirst().orElse(0));
        Styled.of(channels).shown(count > 1);
    }

    private void choose() {
        if (isFilling || inputs.getValue() == null) {
            return;
        }
        boolean isOther = !inputs.getValue().equals(recording.device());
        Integer channel = isOther ? null : channels.getValue();
        recording.choose(
                inputs.getValue(), channel == null || channel == 0 ? OptionalInt.empty() : OptionalInt.of(channel - 1));
        if (isOther) {
            isFilling = true;
            fillChannels(recording.device().channels());
            isFilling = false;
        }
    }

    void recordOrStop() {
        if (recording.state() == RecordingModel.State.RECORDING) {
            recording.stop();
        } else if (countdown > 0) {
            countdown = 0;
            show();
        } else if (recording.state() == RecordingModel.State.IDLE) {
            open();
        } else {
            countdown = COUNTDOWN_SECONDS;
            show();
        }
    }

    private void leave() {
        countdown = 0;
        recording.stop();
        if (recording.state() == RecordingModel.State.IDLE) {
            shut();
        }
    }

    private void tick() {
        // It goes on to its end even while the input is still being opened, and waits there.
        if (countdown > 0 && recording.state() != RecordingModel.State.IDLE) {
            countdown = Math.max(1e-3, countdown - 1.0 / PER_SECOND);
            if (countdown < 1.0 / PER_SECOND && recording.state() == RecordingModel.State.LISTENING) {
                countdown = 0;
                recording.record();
            }
        }
        Optional<LiveMeter.Reading> reading = recording.meter();
        if (recording.state() == RecordingModel.State.IDLE) {
            return;
        }
        LevelPlan plan = recording.plan();
        bars.show(reading, plan.end());
        knobs.setText(plan.knobs().stream()
                .map(knob -> knob.control().name() + " on " + knob.owner() + " "
                        + (knob.isMissed() ? "not known" : knob.place()))
                .collect(Collectors.joining(" · ")));
        loudest.setText(reading.map(each -> loudest(each, plan)).orElse(""));
        show(reading);
    }

    private boolean wasRecording;

    /** What the state is called, and what the buttons do in it. */
    private void show() {
        RecordingModel.State state = recording.state();
        boolean isRecording = state == RecordingModel.State.RECORDING;
        record.setText(
                isRecording
                        ? "Stop"
                        : countdown > 0 ? "Not yet" : state == RecordingModel.State.IDLE ? "Listen again" : "Record");
        close.setText(isRecording ? "Stop and close" : "Close");
        inputs.setDisable(isRecording);
        channels.setDisable(isRecording);
        show(Optional.empty());
        if (wasRecording && state == RecordingModel.State.IDLE) {
            shut();
        }
        wasRecording = isRecording;
    }

    private void show(Optional<LiveMeter.Reading> reading) {
        if (countdown > 0) {
            instruction.setText("Get ready");
            left.setText(Print.decimal(Math.ceil(countdown), 0));
            return;
        }
        switch (recording.state()) {
            case IDLE -> say("Nothing is listened to", "");
            case OPENING -> say("The input is being opened", "");
            case LISTENING -> say("Play, and see whether the meter moves. Then record", "");
            case RECORDING ->
                reading.ifPresent(each -> {
                    double seconds = recording.seconds(each);
                    mark(TestTake.number(seconds));
                    TestTake.Part part = TestTake.at(seconds);
                    say(
                            part.words(),
                            part.seconds() > 0
                                    ? Print.decimal(Math.ceil(part.seconds()), 0) + " s"
                                    : Print.moment(seconds));
                });
        }
    }

    /** Which step of the test take is the present one. */
    private void mark(int number) {
        for (int i = 0; i < steps.getChildren().size(); i++) {
            steps.getChildren().get(i).getStyleClass().removeAll("step-now", "step-done");
            if (i <= number) {
                steps.getChildren().get(i).getStyleClass().add(i < number ? "step-done" : "step-now");
            }
        }
    }

    /** What is to be done now, for the line beneath the room; empty where nothing is recorded. */
    String next() {
        return isOpen ? instruction.getText() : "";
    }

    private void say(String words, String time) {
        if (!words.equals(instruction.getText())) {
            instruction.setText(words);
            told.run();
        }
        left.setText(time);
    }

    private static String loudest(LiveMeter.Reading reading, LevelPlan plan) {
        if (reading.loudest() == 0) {
            return "Nothing comes in yet.";
        }
        DigitalLevel level = DigitalLevel.ofPeak(reading.loudest());
        if (reading.cut() > 0) {
            return "Cut off: turn the gain down before you record.";
        }
        double miss = plan.end().miss(level.dbfs()).db();
        String start = "Loudest so far " + level + ", aim " + plan.aim() + ": ";
        return start
                + (miss == 0
                        ? "in the aim."
                        : Print.decimal(Math.abs(miss), 1) + (miss > 0 ? " dB too hot." : " dB below it."));
    }

    private static final class InputNames extends StringConverter<InputDevice> {
        @Override
        public String toString(InputDevice input) {
            return input == null ? "" : input.name() + (input.isSimulated() ? " (plays this run)" : "");
        }

        @Override
        public InputDevice fromString(String text) {
            throw new UnsupportedOperationException("an input is chosen, not typed");
        }
    }

    private static final class ChannelNames extends StringConverter<Integer> {
        @Override
        public String toString(Integer channel) {
            return channel == null || channel == 0 ? "all channels" : "channel " + channel;
        }

        @Override
        public Integer fromString(String text) {
            throw new UnsupportedOperationException("a channel is chosen, not typed");
        }
    }
}
