package tallledger.core.family;

import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import tallledger.core.evidence.Severity;
import tallledger.core.measuring.Recording;
import tallledger.core.motion.AxisId;
import tallledger.core.reason.Reason;
import tallledger.core.rules.Rules;

/**
 * One step of a survey.
 *
 * @param id        unique on this machine
 * @param about     names that stand in its words: axis, way, position
 * @param phase     when in the survey
 * @param recording what is written down and how it is judged
 * @param ifBad     how bad it is if it is not as it should be
 * @param seconds   what it takes, s (house starting value)
 * @param needs     what must be free or safe first
 * @param system    what is put right when it fails; steps of one system are done again after its repair
 * @param axis      the axis it moves or is about; empty for none
 * @param runs      whether something turns or travels under power, so that the start checks are due first
 * @param spares    codes of steps it makes needless when it is good
 * @param own       what the machine's own chart says of it
 * @param figures   lengths and units that stand in its words, in the unit of the machine
 */
public record Step(StepId id, List<String> about, Phase phase, Recording<?> recording, Severity ifBad, int seconds,
        List<Need> needs, MachinePart.System system, Optional<AxisId> axis, boolean runs, Set<String> spares, Optional<OwnLimit> own,
        List<Object> figures) {

    /** What the machine's own chart says of it, mm. @param measured by its maker or rebuilder; empty where only the limit is printed */
    public record OwnLimit(BigDecimal permissible, Optional<BigDecimal> measured) {
    }

    /** One of which no chart of the machine's own says anything. */
    public Step(StepId id, List<String> about, Phase phase, Recording<?> recording, Severity ifBad, int seconds, List<Need> needs,
            MachinePart.System system, Optional<AxisId> axis, boolean runs, Set<String> spares) {
        this(id, about, phase, recording, ifBad, seconds, needs, system, axis, runs, spares, Optional.empty(), List.of());
    }

    /** The house's rules as they judge this step: the machine's own limit stands for the rebuilt one, and none is stricter. */
    public Rules judgedBy(Rules house) {
        return own.flatMap(o -> recording.limitRule().map(rule -> house.permitting(rule, o.permissible))).orElse(house);
    }

    public Step {
        about = List.copyOf(about);
        needs = List.copyOf(needs);
        spares = Set.copyOf(spares);
        figures = List.copyOf(figures);
    }

    /** Key of its words. */
    public String code() {
        return id.code();
    }

    /** What a step of an axis was called before its axis had an identity: by the names in its words. */
    public String formerId() {
        return code() + "." + String.join(".", about).replaceAll("[^\\p{L}\\d.]+", "-");
    }

    /** Its name: a code of words with what it is about, which begins it and so has a capital. */
    public Reason name() {
        return new Reason("step." + code(), Stream.concat(IntStream.range(0, about.size())
                .mapToObj(i -> (Object) (i == 0 ? about.get(i).substring(0, 1).toUpperCase(Locale.ROOT) + about.get(i).substring(1)
                        : about.get(i))),
                figures.stream()).toList());
    }

    /** What to do, and what to look and listen for: codes of words with what it is about and its figures. */
    public Reason says(String what) {
        return new Reason("step." + code() + "." + what, Stream.concat(about.stream(), figures.stream()).toList());
    }

    /** Minutes with a tenth, for sums on the page. */
    public static double minutes(List<Step> steps) {
        return steps.stream().mapToInt(Step::seconds).sum() / 60.0;
    }
}
