package tallledger.web.machine;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import tallledger.core.family.Feature;
import tallledger.core.family.FitOut;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.family.Traits;
import tallledger.core.machine.MachineDescription;
import tallledger.core.motion.Axis;
import tallledger.core.reason.Refused;
import tallledger.web.forms.FormInput;
import tallledger.web.library.StoredSurvey;

/**
 * What a machine has whose survey was begun with what is usual in its family: asked once at the machine, standing before it, and again
 * before the first step of an axis. Nothing is taken for seen because it is usual.
 */
public final class EquipmentQuestion {

    /** Its axes that are there, by their identity. */
    static final String THERE = "there";
    static final String FEATURES = "feature";

    private EquipmentQuestion() {
    }

    /**
     * What is asked.
     *
     * @param axes     as usual in the family
     * @param features that a machine of the family can have
     * @param has      those it usually has
     */
    public record Asked(List<Axis> axes, List<Feature> features, Set<Feature> has) {

        public List<Axis.Ability> abilities() {
            return List.of(Axis.Ability.values());
        }

        public boolean isThere(FormInput typed, Axis axis) {
            return !typed.isSent(THERE) || typed.holds(THERE, axis.id().written());
        }

        public boolean isTicked(FormInput typed, Axis axis, Axis.Ability ability) {
            return typed.isSent(THERE) ? typed.holds(field(axis), ability.name()) : axis.has(ability);
        }

        public boolean isTicked(FormInput typed, Feature feature) {
            return typed.isSent(THERE) ? typed.holds(FEATURES, feature.name()) : has.contains(feature);
        }

        /** Field of what an axis has. */
        public String field(Axis axis) {
            return EquipmentQuestion.field(axis);
        }
    }

    private static String field(Axis axis) {
        return "axis." + axis.id().written();
    }

    /**
     * Empty where it is not asked: somebody described it, a step of an axis is done, or the open step does not hang on it.
     *
     * @param typed an answer that came back is shown again wherever it came from
     */
    public static Optional<Asked> of(StoredSurvey survey, Step open, FormInput typed) {
        boolean due = typed.isSent(THERE) || open.axis().isPresent() || open.phase() == Phase.STANDING && !isBegun(survey, Phase.STANDING);
        return due ? of(survey) : Optional.empty();
    }

    private static Optional<Asked> of(StoredSurvey survey) {
        Traits traits = survey.folded().machine().family().traits();
        FitOut has = survey.folded().machine().fitOut();
        FitOut usual = traits.usual();
        boolean isUsual = has.axes().equals(usual.axes()) && has.features().equals(usual.features());
        if (!isUsual || survey.isBehindDescription() || survey.own().isPresent() || survey.core().closed().isPresent()
                || isAnAxisDone(survey)) {
            return Optional.empty();
        }
        return Optional.of(new Asked(has.axes(), traits.features().stream().sorted().toList(), has.features()));
    }

    private static boolean isAnAxisDone(StoredSurvey survey) {
        return gone(survey).anyMatch(step -> step.axis().isPresent());
    }

    private static boolean isBegun(StoredSurvey survey, Phase phase) {
        return gone(survey).anyMatch(step -> step.phase() == phase);
    }

    /** Steps that were done, passed over or put off. */
    private static Stream<Step> gone(StoredSurvey survey) {
        return Stream.of(survey.steps().latest().keySet().stream(), survey.steps().passed().keySet().stream(),
                survey.steps().later().stream().flatMap(task -> task.step().stream()).map(Step::id)).flatMap(ids -> ids)
                .flatMap(id -> survey.steps().step(id).stream());
    }

    /**
     * The machine as it was answered; the same machine where everything is as usual. Empty where it was not asked, or what was ticked
     * cannot be, which is said at the form.
     */
    public static Optional<MachineDescription> answered(StoredSurvey survey, FormInput typed) {
        MachineDescription machine = survey.folded().machine();
        return of(survey).flatMap(asked -> {
            List<Axis> axes = asked.axes().stream().filter(axis -> typed.holds(THERE, axis.id().written()))
                    .flatMap(axis -> ticked(typed, axis).stream()).toList();
            FitOut before = machine.fitOut();
            return typed.attempt("equipment", () -> machine.with(new FitOut(axes, named(typed.all(FEATURES), Feature.values()),
                    before.supply(), before.chart(), before.otherSpeeds(), before.ownChart())));
        });
    }

    /** Said at its row where it cannot be: a trip without a feed. */
    private static Optional<Axis> ticked(FormInput typed, Axis axis) {
        try {
            return Optional.of(new Axis(axis.id(), axis.role(), axis.name(), axis.minus(), axis.plus(),
                    named(typed.all(field(axis)), Axis.Ability.values()), axis.travel(), axis.rates()));
        } catch (Refused not) {
            typed.refuse(field(axis), not.reason());
            return Optional.empty();
        }
    }

    private static <E extends Enum<E>> Set<E> named(List<String> names, E[] all) {
        Set<E> chosen = new HashSet<>();
        Stream.of(all).filter(e -> names.contains(e.name())).forEach(chosen::add);
        return chosen;
    }
}
