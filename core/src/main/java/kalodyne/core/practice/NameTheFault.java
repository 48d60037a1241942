package kalodyne.core.practice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import kalodyne.core.findings.Finding;
import kalodyne.core.findings.FindingCode;
import kalodyne.core.findings.Remedy;
import kalodyne.core.findings.Severity;
import kalodyne.core.takes.TakeReport;

/**
 * What is wrong with this take? The answer that counts is the take reader's: a fault that it does not find is made plainer, and
 * what else it finds is never offered as a wrong answer.
 */
final class NameTheFault {
    private static final int CHOICES = 4;

    private final FaultMaker maker;

    NameTheFault(FaultMaker maker) {
        this.maker = maker;
    }

    /** Empty where even plainly made the fault is not found in this rig: a drum hides a click. */
    Optional<Exercise> make(Fault fault, int strength, long number) {
        for (int now = strength; now >= 1; now--) {
            Clip clip = maker.make(fault, now, number);
            TakeReport report = clip.report();
            if (isTrue(fault, report)) {
                return Optional.of(ask(fault, now, number, clip, report));
            }
        }
        return Optional.empty();
    }

    private static boolean isTrue(Fault fault, TakeReport report) {
        Set<FindingCode> told = told(report);
        return fault.code().map(told::contains).orElse(told.isEmpty());
    }

    private static Set<FindingCode> told(TakeReport report) {
        return report.findings().stream()
                .filter(finding -> finding.severity() != Severity.NOTE)
                .map(Finding::code)
                .collect(Collectors.toSet());
    }

    private static Exercise ask(Fault fault, int strength, long number, Clip clip, TakeReport report) {
        Random random = Draw.from(number);
        Set<FindingCode> told = told(report);
        List<Fault> others = new ArrayList<>(Fault.all());
        others.removeIf(
                other -> other == fault || other.code().filter(told::contains).isPresent());
        Collections.shuffle(others, random);
        List<Fault> offered = new ArrayList<>(others.subList(0, CHOICES - 1));
        offered.add(random.nextInt(CHOICES), fault);
        Optional<Finding> found = report.findings().stream()
                .filter(finding -> fault.code().filter(finding.code()::equals).isPresent())
                .findFirst();
        return new Exercise(
                fault.topic(),
                number,
                strength,
                "What is wrong with this take?",
                offered.stream().map(Fault::words).toList(),
                offered.indexOf(fault),
                found.map(Finding::text).orElse("Nothing that could be measured is wrong with it."),
                found.flatMap(Finding::remedy).map(Remedy::words).orElse(""),
                Optional.of(clip),
                Optional.of(report));
    }
}
