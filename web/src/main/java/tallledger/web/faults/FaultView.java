package tallledger.web.faults;

import java.util.Comparator;
import java.util.List;
import tallledger.core.blame.Check;
import tallledger.core.evidence.Severity;
import tallledger.core.family.MachinePart;
import tallledger.core.survey.Fault;
import tallledger.core.verdict.Finding;
import tallledger.web.library.StoredSurvey;
import tallledger.web.words.Words;

/**
 * A fault as the page lists it.
 *
 * @param name     the step or speed
 * @param key      of it
 * @param severity how bad; null once it is no finding any more
 * @param says     what was found, in words
 * @param system   what to put right; null for a speed, whose suspects stand below
 * @param checks   cheapest first
 * @param again    what must be done again once it is put right
 */
public record FaultView(String name, String key, Severity severity, String says, Fault.State state, List<Integer> history,
        MachinePart.System system, List<Check> checks, String again) {

    static List<FaultView> of(StoredSurvey survey, List<Check> table, Words words) {
        List<Finding> findings = Finding.of(survey.core());
        return Fault.of(survey.core()).stream().map(fault -> of(survey, fault, findings, table, words))
                .sorted(Comparator.comparing((FaultView f) -> f.state).thenComparing(f -> f.severity == null ? Severity.NOTE : f.severity))
                .toList();
    }

    private static FaultView of(StoredSurvey survey, Fault fault, List<Finding> findings, List<Check> table, Words words) {
        String name = words.name(fault.task(), survey.folded().machine().train());
        List<Finding> own = findings.stream().filter(f -> f.entries().stream().anyMatch(fault.history()::contains)).toList();
        String says = String.join(" ", own.stream().map(f -> words.say(f.what())).toList());
        Severity severity = own.stream().map(Finding::severity).min(Comparator.naturalOrder()).orElse(null);
        return new FaultView(name, fault.task().key(), severity, says, fault.state(), fault.history(), fault.system().orElse(null),
                fault.system().map(s -> Check.cheapestFirst(table, s.name())).orElse(List.of()), fault.system()
                        .map(s -> again(survey, s, words)).orElse(""));
    }

    /** Every step of the system that has a record: it would prove nothing after the repair. */
    private static String again(StoredSurvey survey, MachinePart.System system, Words words) {
        return String.join(", ", survey.steps().steps().stream().filter(step -> step.system().equals(system) && survey.steps().latest()
                .containsKey(step.id()))
                .map(step -> words.say(step.name())).toList());
    }
}
