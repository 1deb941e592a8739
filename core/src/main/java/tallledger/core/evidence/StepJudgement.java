package tallledger.core.evidence;

import java.util.List;
import java.util.Optional;
import tallledger.core.coverage.Outcome;
import tallledger.core.gauge.Figure;
import tallledger.core.gauge.Grade;
import tallledger.core.gauge.Judgement;
import tallledger.core.gauge.Verdict;
import tallledger.core.reason.InUnit;
import tallledger.core.reason.Reason;
import tallledger.core.unit.LengthUnit;

/**
 * What a step's record comes to.
 *
 * @param outcome proven, failed or undecided
 * @param grade   best grade proven within, where there are grades
 * @param because the comparisons that decided, with their numbers, for people to read
 * @param worse   a severity worse than the step's own, where the record itself says so
 * @param figures what was measured, each with its limits and its verdict; the one the record is for first
 * @param held    whether somebody looked, or there was something to hold it against; what was only read is neither good nor bad
 */
public record StepJudgement(Outcome outcome, Optional<Grade> grade, List<Reason> because, Optional<Severity> worse, List<Figure> figures,
        boolean held) {

    /**
     * Of a step that can be measured and was told by eye and ear alone: anybody sees that it does not do what it should, or that it does,
     * where nobody said how fast. Whether it is good is the surveyor's word; no claim of a figure rests on it.
     */
    public static final StepJudgement BY_EYE = of(Outcome.PROVEN, Reason.of(EvidenceReason.BY_EYE));

    public StepJudgement {
        because = List.copyOf(because);
        figures = List.copyOf(figures);
    }

    /** Of a record without a figure that was measured. */
    public StepJudgement(Outcome outcome, Optional<Grade> grade, List<Reason> because, Optional<Severity> worse) {
        this(outcome, grade, because, worse, List.of(), true);
    }

    /** The same with what was seen on the way as figures. */
    public StepJudgement with(List<Figure> seen) {
        return new StepJudgement(outcome, grade, because, worse, seen, held);
    }

    /** Of figures that were measured and held against something. */
    public StepJudgement(Outcome outcome, Optional<Grade> grade, List<Reason> because, List<Figure> figures) {
        this(outcome, grade, because, Optional.empty(), figures, true);
    }

    public static StepJudgement of(Outcome outcome, Reason... because) {
        return new StepJudgement(outcome, Optional.empty(), List.of(because), Optional.empty());
    }

    /** As its only figure came out, said so. */
    public static StepJudgement of(Figure figure, List<Reason> because) {
        Figure.Against against = figure.against().orElseThrow();
        return new StepJudgement(outcome(against.verdict()), against.grade(), because, List.of(figure));
    }

    public static StepJudgement of(Judgement judgement) {
        return of(judgement.figure(), List.of(judgement.because()));
    }

    /** Of what was read, counted or measured with nothing to hold it against: done, and no more is said of it than the figure. */
    public static StepJudgement read(Reason... because) {
        return new StepJudgement(Outcome.PROVEN, Optional.empty(), List.of(because), Optional.empty(), List.of(), false);
    }

    /** The same of a figure. */
    public static StepJudgement read(Figure figure, Reason... because) {
        return new StepJudgement(Outcome.PROVEN, Optional.empty(), List.of(because), Optional.empty(), List.of(figure), false);
    }

    public static Outcome outcome(Verdict verdict) {
        return switch (verdict) {
            case WITHIN -> Outcome.PROVEN;
            case OUTSIDE -> Outcome.FAILED;
            case TOO_CLOSE_TO_CALL -> Outcome.UNDECIDED;
        };
    }

    /** The same, saying this. */
    public StepJudgement saying(List<Reason> other) {
        return new StepJudgement(outcome, grade, other, worse, figures, held);
    }

    /** The same with another outcome, whatever its figures say. */
    public StepJudgement as(Outcome other) {
        return new StepJudgement(other, grade, because, worse, figures, held);
    }

    /** The same, its figures of this length or force. */
    public StepJudgement per(Figure.StatedOver per) {
        return new StepJudgement(outcome, grade, because, worse, figures.stream().map(f -> f.per(per)).toList(), held);
    }

    /** The same, its sentences in the unit of the machine; its figures stay in core's. */
    public StepJudgement in(LengthUnit unit) {
        return new StepJudgement(outcome, grade, InUnit.of(because, unit), worse, figures, held);
    }

    /** The figure that the record is for; empty where none was measured, or nobody can tell it from what was. */
    public Optional<Figure> figure() {
        return figures.stream().filter(f -> f.name().isTheResult()).findFirst();
    }

    /** What the first figure leaves open, part by part; empty where that is not known so. */
    public Optional<Reason> leftOpen(LengthUnit machine) {
        return figures.stream().findFirst().flatMap(f -> f.parts().map(parts -> UncertaintyBudget.says(parts, f.unit(), machine)));
    }
}
