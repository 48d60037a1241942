package kalodyne.core.gear.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import kalodyne.core.gear.Balance;
import kalodyne.core.gear.Device;
import kalodyne.core.gear.DeviceKind;
import kalodyne.core.gear.Direction;
import kalodyne.core.gear.Fact;
import kalodyne.core.gear.Facts;
import kalodyne.core.gear.Form;
import kalodyne.core.gear.Provenance;
import kalodyne.core.gear.SignalKind;
import kalodyne.core.gear.Socket;
import kalodyne.core.gear.StageKind;
import kalodyne.core.gear.Value;
import kalodyne.core.joint.Patch;
import kalodyne.core.joint.Plugging;
import kalodyne.core.joint.Spot;
import kalodyne.core.joint.rules.JointRules;
import kalodyne.core.levels.gain.End;
import kalodyne.core.levels.gain.FlowLevels;
import kalodyne.core.levels.rig.Rig;
import kalodyne.core.levels.rig.Settings;
import kalodyne.core.units.Impedance;
import kalodyne.core.units.Level;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What data sheets mean by the maximum level of an input: a sine of that level, the gain at its lowest, just reads full scale. It is held to
 * by every input of the catalogue that is recorded: a generator is plugged into it.
 */
class FullScaleTest {
    private static final LocalDate DAY = LocalDate.of(2026, 1, 2);

    /** Each input that is made for a level and recorded through nothing but its own gain. */
    static Stream<List<Object>> inputs() {
        return Catalogue.shipped().devices().stream()
                .map(Profile::gear)
                .filter(device -> device.stages().stream().anyMatch(stage -> stage.kind() == StageKind.TO_DIGITAL))
                .filter(device -> device.kind() != DeviceKind.MIXER)
                .flatMap(device -> device.sockets().stream()
                        .filter(socket -> socket.mostTaken().isPresent() && socket.way() == Direction.IN)
                        .map(socket -> List.of(device, socket)));
    }

    @ParameterizedTest
    @MethodSource("inputs")
    void its_maximum_at_the_lowest_gain_reads_full_scale(List<Object> input) {
        Device recorder = (Device) input.get(0);
        Socket socket = (Socket) input.get(1);
        Device generator = generator(socket);
        Spot from = new Spot("generator", "out");
        Spot to = new Spot("recorder", socket.id());
        Plugging plugging = socket.form() == Form.SOCKET ? new Plugging(from, to) : new Plugging(to, from);
        Patch patch = new Patch(Map.of("generator", generator, "recorder", recorder), Map.of(), List.of(plugging));
        Rig rig = Rig.of(JointRules.check(patch), patch, Settings.NONE);
        List<End> tracks = rig.flow().ends().stream()
                .filter(end -> end.kind() == End.Kind.TRACK)
                .toList();
        assertThat(tracks).as(recorder.id() + "." + socket.id()).isNotEmpty();
        FlowLevels levels = FlowLevels.of(rig.flow());
        assertThat(tracks)
                .allSatisfy(track -> assertThat(
                                levels.peak(track.point()).above(track.zero()).db())
                        .as(recorder.id() + "." + socket.id())
                        .isCloseTo(0, within(0.1)));
    }

    /** An output that fits, of next to no impedance, as loud as the input takes. */
    private static Device generator(Socket input) {
        Level most = input.mostTaken().orElseThrow();
        Facts facts = new Facts.Builder()
                .with(Fact.SOURCE_IMPEDANCE, new Value<>(new Impedance(0.01), Provenance.measured(DAY)))
                .with(Fact.LOUDEST_PEAK, new Value<>(most, Provenance.measured(DAY)))
                .with(Fact.AVERAGE_LEVEL, new Value<>(most, Provenance.measured(DAY)))
                .build();
        Socket out = input.with()
                .id("out")
                .name("Output")
                .form(input.form() == Form.SOCKET ? Form.PLUG : Form.SOCKET)
                .way(Direction.OUT)
                .signal(SignalKind.LINE)
                .balance(input.balance().map(each -> each == Balance.ONE_AMPLIFIER ? Balance.BALANCED : each))
                .ties(Socket.Ties.NONE)
                .power(List.of())
                .channels(List.of())
                .states(List.of())
                .from(List.of())
                .facts(facts)
                .build();
        Device any = Catalogue.shipped().device("synth-analogue").orElseThrow().gear();
        return any.with()
                .id("generator")
                .name("Generator")
                .sockets(List.of(out))
                .stages(List.of())
                .controls(List.of())
                .powering(List.of())
                .facts(Facts.NONE)
                .profile(Optional.empty())
                .build();
    }
}
