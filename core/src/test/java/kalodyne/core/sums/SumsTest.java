package kalodyne.core.sums;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Sums against handbook tables and values that anyone can check. */
class SumsTest {
    private static Sum.Worked work(String id, String typed) {
        Map<String, String> values = new LinkedHashMap<>();
        for (String part : typed == null ? new String[0] : typed.split("; ", -1)) {
            int equals = part.indexOf('=');
            values.put(part.substring(0, equals), part.substring(equals + 1));
        }
        return Sums.named(id).orElseThrow().work(values);
    }

    /**
     * +4 dBu is 1.228 V; −10 dBV is −7.78 dBu and 316 mV (broadcast handbooks). Symmetrical T pads of 600 Ω: 20 dB has 490.9 and 121.2 Ω,
     * 6 dB has 199.4 and 803 Ω (handbook tables). 150 Ω hiss at −130.9 dBu. MIDI 1.0: 24 pulses a quarter, at 120 one each 20.833 ms. 35
     * ppm are 126 ms an hour. One hour of 48 kHz, 24 bits, 2 tracks is 1.0368 GB; 2.2 mV/Pa is −53.15 dBV at 1 Pa.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            level      | level=+4 dBu                          | dBV: +1.78 dBV; RMS: 1.228 V; Of a sine, top to bottom: 3.472 Vpp
            level      | level=-10 dBV                         | dBu: −7.78 dBu; RMS: 316.2 mV
            recorded   | level=+4 dBu; full=+18 dBu            | In the recording: −14.0 dBFS
            recorded   | level=+20 dBu; full=+18 dBu           | In the recording: +2.0 dBFS; Left above it: none: it is cut off
            ratio      | gain=200 %                            | Decibels: +6.02 dB
            together   | one=0 dBu; other=0 dBu                | Of two players: +3.0 dBu; Of the same signal: +6.0 dBu; The same, one inverted: nothing is left
            loading    | source=10 kΩ; load=10 kΩ              | Of the level: 6.02 dB
            noise      | source=150 Ω                          | 20 Hz to 20 kHz, 20 °C: −130.9 dBu
            microphone | sensitivity=2.2 mV/Pa; sound=94 dB SPL | Level: −50.9 dBu; Voltage: 2.2 mV
            distance   | sound=94 dB SPL; near=1 m; far=2 m    | Sound there: 88.0 dB SPL
            sounds     | one=80 dB SPL; other=80 dB SPL        | Together: 83.0 dB SPL
            pad        | ohms=600 Ω; loss=20 dB                | T: two in series, each: 490.9 Ω; T: one across: 121.2 Ω; H, balanced: four in series, each: 245.5 Ω
            pad        | ohms=600 Ω; loss=6 dB                 | T: two in series, each: 199.4 Ω; T: one across: 803.2 Ω
            divider    | across=150 Ω; loss=40 dB              | L: one in series: 14.85 kΩ
            corner     | ohms=10 kΩ; farads=1 nF               | 3 dB down at: 15.92 kHz
            lead       | ohms=10 kΩ; per-metre=100 pF/m; length=6 m | Capacitance: 600 pF; 3 dB down at: 26.53 kHz
            headphones | level=0 dBV; ohms=32 Ω; loud=100 dB/mW | Power: 31.25 mW; Sound: 114.9 dB SPL
            port       | gives=500 mA; first=400 mA; second=250 mA | Drawn: 650 mA; Missing: 150 mA: use a hub with its own supply
            battery    | energy=10 Wh; volts=5 V; amperes=400 mA | Power: 2 W; It lasts about: 4 h 15 min
            storage    | rate=48000; bits=24; tracks=2; minutes=60; free=32 | This length takes: 1.04 GB; The free space lasts: 30 h 52 min; A plain WAV file ends at: 4 h 9 min (4 GB)
            latency    | frames=128; rate=48000; rest=3        | One buffer: 2.67 ms; Through the computer, in and out: 8.3 ms
            loop-back  | sent=1; back=1.012; frames=128; rate=48000 | Round trip: 12.00 ms; In samples: 576; Not from the buffers: 6.67 ms: converters and driver
            delay      | time=10; rate=48000                   | Samples: 480.0; In air: 3.43 m
            midi-clock | tempo=120                             | A beat (quarter note): 500.00 ms; A pulse, 24 a quarter: 20.833 ms; Pulses a second: 48.00; Samples a beat: 24000.0
            tempo      | beats=128; seconds=64.064; nominal=120 | Tempo: 119.880 beats a minute; Against the clock: −999 ppm; At its end: 64.0 ms late
            drift      | ppm=35; minutes=60                    | An hour: 126.0 ms; This length: 126.0 ms
            cable      | along=3 m; across=1 m; down=0.8 m; up=0.8 m | At least: 6.4 m; Take: 10 m
            """)
    void a_sum_comes_out_as_in_the_book(String id, String typed, String expected) {
        List<String> answers = work(id, typed).answers().stream()
                .map(answer -> answer.label() + ": " + answer.value())
                .toList();
        assertThat(answers).containsAll(List.of(expected.split("; ", -1)));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            level    | level=loud            | level
            level    | level=4               | level
            storage  | bits=24.5             | bits
            storage  | tracks=0; minutes=x   | tracks minutes
            pad      | loss=0 dB             | ohms
            distance | near=0 m              | sound
            battery  | amperes=0 mA          | energy
            tempo    | beats=-3              | beats
            """)
    void what_cannot_be_worked_out_is_said_at_its_field(String id, String typed, String fields) {
        Sum.Worked worked = work(id, typed);
        assertThat(worked.answers()).isEmpty();
        assertThat(worked.problems()).containsOnlyKeys(fields.split(" ", -1));
        assertThat(worked.problems().values()).allMatch(problem -> problem.endsWith("."));
    }

    /** Each comes out with what stands there at first; decimal commas and real minus signs are read. */
    @Test
    void every_sum_works_as_it_stands() {
        assertThat(Sums.all().stream().map(Sum::id)).doesNotHaveDuplicates();
        for (Sum sum : Sums.all()) {
            Sum.Worked worked = sum.work(Map.of());
            assertThat(worked.problems()).as(sum.id()).isEmpty();
            assertThat(worked.answers().stream().map(Sum.Answer::value).collect(Collectors.joining()))
                    .as(sum.id())
                    .isNotEmpty()
                    .doesNotContain("NaN", "Infinity", "null");
        }
        assertThat(work("drift", "ppm=−3,5").answers().get(0).value()).isEqualTo("12.6 ms");
    }

    @ParameterizedTest
    @CsvSource({"0, 0 s", "59, 59 s", "90, 1 min 30 s", "600, 10 min", "3600, 1 h", "3599, 60 min", "13920, 3 h 52 min"
    })
    void spans_read_well(long seconds, String words) {
        assertThat(Spans.words(Duration.ofSeconds(seconds))).isEqualTo(words);
    }

    /**
     * What is drawn is what was worked out: the same handbook values; a first-order low-pass is 3.01 dB down at its corner, 20.04 dB a
     * decade above, and 0.04 dB a decade below.
     */
    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            pad     | ohms=600 Ω; loss=20 dB | T pad: in series 490.9 Ω, across 121.2 Ω, in series 490.9 Ω
            pad     | ohms=600 Ω; loss=20 dB | H pad, balanced: in series 245.5 Ω in each wire, across 121.2 Ω, in series 245.5 Ω in each wire
            divider | across=150 Ω; loss=40 dB | L pad: in series 14.85 kΩ, across 150 Ω
            divider | across=150 Ω; loss=40 dB | U pad, balanced: in series 7.425 kΩ in each wire, across 150 Ω
            corner  | ohms=15.915 kΩ; farads=10 nF | What passes: 0.0 dB at 100 Hz, −3.0 dB at 1 kHz, −20.0 dB at 10 kHz
            lead    | ohms=10 kΩ; per-metre=100 pF/m; length=6 m | What the lead leaves: 0.0 dB at 100 Hz, 0.0 dB at 1 kHz, −0.6 dB at 10 kHz
            """)
    void what_is_drawn_is_what_was_worked_out(String id, String typed, String words) {
        assertThat(work(id, typed).sketches()).extracting(Sketch::words).contains(words);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            pad    | ohms=0 Ω; loss=20 dB
            corner | ohms=0 Ω; farads=10 nF
            pad    | ohms=much; loss=20 dB
            """)
    void where_there_is_no_answer_nothing_is_drawn(String id, String typed) {
        Sum.Worked worked = work(id, typed);
        assertThat(worked.problems()).isNotEmpty();
        assertThat(worked.sketches()).isEmpty();
    }
}
