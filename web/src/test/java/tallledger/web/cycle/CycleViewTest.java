package tallledger.web.cycle;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import org.junit.jupiter.api.Test;
import tallledger.core.evidence.Values;
import tallledger.core.measuring.WatchedCycle;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;
import tallledger.web.App;
import tallledger.web.words.Words;

/** The time line is drawn from what was logged. */
class CycleViewTest {

    private final Words words = App.demo().bean(Words.class);

    private CycleView drawn(String script, String log) {
        return CycleView.done(new WatchedCycle(script).read(new Values(Map.of("log", log), LengthUnit.MM)), Rules.shipped(), words);
    }

    @Test
    void placesFollowTheSeconds() {
        CycleView view = drawn("emergency-stop", "runs 0\nstop-pressed 2\nstops 4\nstop-released 6\nstays-stopped 10\nstarted 20");
        // From x = 24 at nought to 446 at the last second.
        assertThat(view.lines()).extracting(CycleView.TimeLineEvent::x).containsExactly(24.0, 66.2, 108.4, 150.6, 235.0, 446.0);
        assertThat(view.lines().get(2).from()).as("the window to stop opens with the press").isEqualTo(66.2);
        assertThat(view.lines().get(2).to()).as("and closes twelve seconds after it").isEqualTo(319.4);
        assertThat(view.lines()).extracting(CycleView.TimeLineEvent::y).containsExactly(26, 60, 94, 128, 162, 196);
        assertThat(view.lines()).allMatch(CycleView.TimeLineEvent::right);
    }

    @Test
    void whatNeverCameHasNoPlace() {
        CycleView view = drawn("guard", "runs 0\nguard-opened 3\nstops 5\nguard-closed 9\nstarts-by-itself 10");
        assertThat(view.lines()).filteredOn(l -> l.verdict().equals("MISSING")).hasSize(2).allMatch(l -> l.x() < 0)
                .allMatch(l -> l.says().equals("never came"));
        assertThat(view.lines()).filteredOn(CycleView.TimeLineEvent::hazard).singleElement()
                .satisfies(l -> assertThat(l.says()).isEqualTo("must not happen, after 1 s"));
        assertThat(view.lines()).allMatch(l -> l.from() < 0 || l.to() >= l.from());
    }

    @Test
    void keysSayWhatMustNotHappen() {
        CycleView view = CycleView.blank(new WatchedCycle("guard"), Map.of(), LengthUnit.MM, Rules.shipped(), words);
        assertThat(view.keys()).extracting(CycleView.Key::name).contains("guard opened", "starts by itself");
        assertThat(view.keys()).filteredOn(CycleView.Key::hazard).extracting(CycleView.Key::event).containsExactly("starts-by-itself");
        assertThat(view.script()).contains("stops 0–12 s after (house rule)");
        assertThat(CycleView.blank(new WatchedCycle("own"), Map.of("script", "12 monkeys"), LengthUnit.MM, Rules.shipped(), words).keys())
                .isEmpty();
    }
}
