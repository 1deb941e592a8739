package tallledger.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import tallledger.core.Machines;
import tallledger.core.SurveyBook;
import tallledger.core.drive.Route;
import tallledger.core.family.Step;
import tallledger.core.reason.Reason;
import tallledger.core.survey.Scope;
import tallledger.core.survey.Survey;
import tallledger.core.survey.Task;

/** Two survey together: each has a step of their own, and only one is at the spindle. */
class BesideTest {

    private final SurveyBook book = new SurveyBook(Machines.lathe("1440"), Scope.WHOLE, 60);

    private Beside beside(List<Task> others) {
        Survey survey = book.survey();
        return Beside.of(survey, SheetPlan.of(survey, book.now()), others);
    }

    private static boolean turns(Task task) {
        return task.route().isPresent() || task.step().filter(Step::runs).isPresent();
    }

    private Task spindle() {
        return Task.of(book.spindle().table().counted().get(0).routes().get(0));
    }

    @Test
    void aloneItIsThePlansOwn() {
        SheetPlan plan = SheetPlan.of(book.survey(), book.now());
        assertThat(beside(List.of())).isEqualTo(new Beside(plan.next(), plan.why()));
    }

    /** One after the other sits down to it: none is sent where another is. */
    @Test
    void noneIsSentWhereAnotherIs() {
        List<Task> others = new ArrayList<>();
        List<String> keys = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            Beside beside = beside(others);
            Task next = beside.next().orElseThrow();
            assertThat(keys).doesNotContain(next.key());
            assertThat(beside.why().code()).isEqualTo(i == 0 ? "next.plan" : "next.beside");
            keys.add(next.key());
            others.add(next);
        }
        assertThat(book.survey().steps().open().stream().map(s -> s.id().written()).toList().subList(0, 8)).isEqualTo(keys);
    }

    @Test
    void whileOneIsAtTheSpindleNobodyElseIsSentThere() {
        List<Task> others = new ArrayList<>(List.of(spindle()));
        Optional<Task> next = beside(others).next();
        while (next.isPresent() && !others.contains(next.get())) {
            assertThat(turns(next.get())).as(next.get().key()).isFalse();
            others.add(next.get());
            next = beside(others).next();
        }
        Beside none = beside(others);
        assertThat(none.why().code()).as("all that stands still is taken").isEqualTo("next.beside-none");
        assertThat(none.next()).isEqualTo(SheetPlan.of(book.survey(), book.now()).next());
        assertThat(others).hasSizeGreaterThan(10);
    }

    /** Whoever starts the spindle while another is at the machine is told so. */
    @Test
    void whoeverIsSentToWhatTurnsIsToldOfTheOthers() {
        Survey survey = book.survey();
        List<Task> still = new ArrayList<>(survey.steps().open().stream().filter(s -> !s.runs()).map(Task::of).toList());
        Beside beside = beside(still);
        assertThat(turns(beside.next().orElseThrow())).isTrue();
        assertThat(beside.why().code()).isEqualTo("next.beside-turns");
    }

    /** Where nothing else is left but the spindle, and another is at it, that is said, and the hands are named. */
    @Test
    void whereOnlyTheSpindleIsLeftTheHandsAreNamed() {
        SurveyBook drive = new SurveyBook(Machines.lathe("1440"), Scope.SPINDLE_DRIVE, 60);
        SheetPlan plan = SheetPlan.of(drive.survey(), drive.now());
        List<Task> others = new ArrayList<>(List.of(plan.next().orElseThrow()));
        drive.survey().steps().open().stream().filter(s -> !s.runs()).map(Task::of).forEach(others::add);
        Beside none = Beside.of(drive.survey(), plan, others);
        assertThat(none.next()).isEqualTo(plan.next());
        assertThat(none.why()).isEqualTo(Reason.of(PlanReason.NEXT_BESIDE_TURNS, Reason.of(PlanReason.NEXT_BESIDE_NONE)));
    }

    /** What somebody is at that is done already, or no step of this machine, takes nothing from anybody. */
    @Test
    void whatIsNotOpenStandsInNobodysWay() {
        Route route = spindle().route().orElseThrow();
        book.run(book.machine().train().settings(route), "1440", false);
        Beside beside = beside(List.of(Task.of(route)));
        assertThat(beside.next()).isPresent();
    }
}
