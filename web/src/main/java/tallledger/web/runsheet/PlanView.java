package tallledger.web.runsheet;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import tallledger.core.coverage.Elements;
import tallledger.core.coverage.RunPlan;
import tallledger.core.coverage.School;
import tallledger.core.family.Phase;
import tallledger.core.family.Step;
import tallledger.core.plan.BeyondProof;
import tallledger.core.plan.LookingWorth;
import tallledger.core.plan.SheetPlan;
import tallledger.core.price.Stakes;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Scope;
import tallledger.core.survey.StepLedger;
import tallledger.core.survey.Task;
import tallledger.web.library.StoredSurvey;
import tallledger.web.words.WebReason;
import tallledger.web.words.Words;

/**
 * The plan as the run sheet's margin tells it.
 *
 * @param school      chosen school
 * @param minutesLeft of those stated
 * @param spent       minutes worked so far
 * @param needed      minutes everything open would take
 * @param summary     how many runs and steps, how long, how good
 * @param coming      the next few runs and what each proves
 * @param beyond      what no run is left for, and why
 * @param leftOpen    what the minutes leave open
 * @param later       what was put off
 */
public record PlanView(School school, Optional<BigDecimal> minutesLeft, BigDecimal spent, BigDecimal needed, List<Reason> summary,
        List<Coming> coming, List<Reason> beyond, String leftOpen, List<Coming> later, Minutes minutes) {

    private static final int SHOWN = 4;
    private static final double MINUTE = 60;

    /**
     * What the minutes stated hold.
     *
     * @param planned all runs and steps, in the order of work
     * @param left    what does not fit
     * @param why     why not
     */
    public record Minutes(List<Coming> planned, List<Coming> left, Optional<Reason> why) {
    }

    /** One run or step to come. */
    public record Coming(String key, String name, String proves) {
    }

    public static PlanView of(StoredSurvey survey, SheetPlan plan, Words words) {
        RunPlan runs = plan.spindle().plan();
        List<Reason> summary = new ArrayList<>();
        if (survey.steps().scope() == Scope.WHOLE) {
            summary.add(Reason.of(WebReason.PLAN_STEPS, survey.steps().open().size()));
        }
        summary.add(Reason.of(WebReason.PLAN_RUNS, runs.runs().size(), runs.seconds() / MINUTE));
        if (plan.spindle().school() == School.EVERY_GEAR && !runs.runs().isEmpty()) {
            summary.add(Reason.of(runs.provenFewest() ? WebReason.PLAN_FEWEST : WebReason.PLAN_PERHAPS_FEWEST, runs.lowerBound()));
            runs.warm().ifPresent(warm -> summary.add(Reason.of(WebReason.PLAN_WARM, runs.runs().size() - warm)));
        }
        plan.spindle().minutes().filter(m -> m.worth() > 0).ifPresent(m -> summary.add(m.bound() > m.worth() + 1
                ? Reason.of(WebReason.PLAN_BUYS_PERHAPS, money(survey, words, m.worth()), money(survey, words, m.bound()))
                : Reason.of(WebReason.PLAN_BUYS, money(survey, words, m.worth()))));
        return new PlanView(plan.spindle().school(), plan.spindle().minutesLeft(), whole(plan.minutesSpent()), whole(plan.minutesOpen()),
                summary,
                coming(survey, plan, words), BeyondProof.of(survey.core(), runs.beyondProof()), leftOpen(survey.steps(), plan, words),
                later(survey, words), minutes(survey, plan, words));
    }

    private static Minutes minutes(StoredSurvey survey, SheetPlan plan, Words words) {
        if (plan.spindle().minutesLeft().isEmpty()) {
            return new Minutes(List.of(), List.of(), Optional.empty());
        }
        List<Coming> planned = new ArrayList<>();
        List<Coming> left = new ArrayList<>();
        LookingWorth worths = LookingWorth.of(survey.core());
        for (Phase phase : Phase.values()) {
            if (phase == Phase.SPINDLE) {
                plan.spindle().plan().runs()
                        .forEach(run -> planned.add(new Coming(run.route().key(), survey.folded().machine().train().name(run.route()),
                                minutes(run.seconds()) + worth(survey, words, run.proves().stream().mapToDouble(worths::of).sum()))));
            }
            survey.steps().open().stream().filter(s -> s.phase() == phase)
                    .forEach(s -> (plan.chosen().contains(s.id()) ? planned : left)
                            .add(new Coming(s.id().written(), words.say(s.name()),
                                    minutes(s.seconds()) + worth(survey, words, worths.of(s)))));
        }
        var run = plan.spindle().plan().runs().stream().map(r -> r.route()).toList();
        survey.folded().table().counted().stream()
                .filter(s -> s.routes().stream().noneMatch(r -> run.contains(r) || survey.folded().latest().containsKey(r)))
                .forEach(s -> left.add(new Coming(s.routes().get(0).key(), survey.folded().machine().train().name(s.routes().get(0)), "")));
        return new Minutes(planned, left, left.isEmpty() ? Optional.empty() : Optional.of(Reason.of(WebReason.PLAN_LEFT_OUT, left.size())));
    }

    private static String worth(StoredSurvey survey, Words words, double worth) {
        boolean named = survey.core().stakes().filter(s -> !s.currency().isEmpty()).isPresent();
        return worth < 0.5 ? "" : ", " + words.say(named ? "plan.worth" : "plan.worth-own", money(survey, words, worth));
    }

    private static String money(StoredSurvey survey, Words words, double amount) {
        return words.money(amount, survey.core().stakes().map(Stakes::currency).orElse(""));
    }

    private static String minutes(double seconds) {
        return BigDecimal.valueOf(seconds / MINUTE).setScale(1, RoundingMode.HALF_UP).toPlainString() + " min";
    }

    private static BigDecimal whole(double minutes) {
        return BigDecimal.valueOf(minutes).setScale(0, RoundingMode.HALF_UP);
    }

    /** Runs while the speeds are at hand, else the steps that follow. */
    private static List<Coming> coming(StoredSurvey survey, SheetPlan plan, Words words) {
        boolean speeds = plan.next().flatMap(Task::route).isPresent();
        if (speeds) {
            return plan.spindle().plan().runs().stream().limit(SHOWN)
                    .map(run -> new Coming(run.route().key(), survey.folded().machine().train().name(run.route()),
                            run.proves().isEmpty() ? words.say("plan.nothing-new") : words.say("plan.proves", names(run.proves()))))
                    .toList();
        }
        List<Step> open = survey.steps().open().stream().filter(s -> plan.chosen().contains(s.id())).toList();
        int from = Math.max(0, plan.next().flatMap(Task::step).map(open::indexOf).orElse(0));
        return open.stream().skip(from).limit(SHOWN).map(s -> new Coming(s.id().written(), words.say(s.name()), words.of(s.phase())))
                .toList();
    }

    private static String leftOpen(StepLedger ledger, SheetPlan plan, Words words) {
        String elements = names(plan.spindle().plan().leftOpen());
        long steps = plan.spindle().minutesLeft().isEmpty() ? 0
                : ledger.open().stream().filter(s -> !plan.chosen().contains(s.id()))
                        .count();
        String more = steps == 0 ? "" : words.say("plan.steps-left", steps);
        return elements.isEmpty() || more.isEmpty() ? elements + more : elements + ", " + more;
    }

    private static List<Coming> later(StoredSurvey survey, Words words) {
        return survey.steps().later().stream().map(task -> new Coming(task.key(), words.name(task, survey.folded().machine().train()), ""))
                .toList();
    }

    private static String names(List<Elements.Element> elements) {
        return elements.stream().map(e -> e.stageName() + " " + e.label()).collect(Collectors.joining(", "));
    }
}
