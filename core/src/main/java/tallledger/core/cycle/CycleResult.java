package tallledger.core.cycle;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import tallledger.core.gauge.Verdict;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * A log lined up with its script: what was missing, too much, out of order, too early, too late, forbidden, and how long each
 * took. Lined up at the least cost, one for each event missing or too many (Needleman and Wunsch's method); an event missing here
 * and too many there is out of order. A hand's reaction ({@link Rule#REACTION}) is
 * allowed at each end of a window.
 *
 * @param lines in the order of time; what never came stands where it should have
 */
public record CycleResult(List<EventLine> lines) {

    public enum Verdict { RIGHT, EARLY, LATE, MISSING, EXTRA, OUT_OF_ORDER, FORBIDDEN }

    /**
     * One event, expected or happened or both.
     *
     * @param at     when it happened, s from the first tap
     * @param took   time since the event that happened before it, s
     * @param window what it should have taken
     * @param hazard whether it can hurt somebody
     */
    public record EventLine(String event, Optional<BigDecimal> at, Optional<BigDecimal> took, Optional<CycleScript.Window> window,
            Verdict verdict, boolean hazard) {
    }

    private record Slot(String event, boolean must, Optional<CycleScript.Window> window) {
    }

    /** Lined up with whatever the log may be meant for that it comes nearest to; of equals the shortest. */
    public static CycleResult of(CycleScript script, CycleLog log, Rules rules) {
        List<Slot> best = List.of();
        int[][] least = null;
        for (List<CycleScript.Expected> variant : script.variants(log.taps().get(0).event(), log.taps().size())) {
            List<Slot> slots = slots(variant);
            int[][] costs = costs(slots, log.taps());
            if (least == null || cost(costs) < cost(least) || cost(costs) == cost(least) && slots.size() < best.size()) {
                best = slots;
                least = costs;
            }
        }
        return new CycleResult(outOfOrder(lineUp(best, log.taps(), least, script, rules.number(Rule.REACTION))));
    }

    private static int cost(int[][] costs) {
        return costs[costs.length - 1][costs[0].length - 1];
    }

    private static List<Slot> slots(List<CycleScript.Expected> expected) {
        List<Slot> slots = new ArrayList<>();
        for (CycleScript.Expected e : expected) {
            for (int i = 0; i < e.most(); i++) {
                slots.add(new Slot(e.event(), i < e.least(), e.window()));
            }
        }
        return slots;
    }

    private static int[][] costs(List<Slot> slots, List<CycleLog.Tap> taps) {
        int[][] cost = new int[slots.size() + 1][taps.size() + 1];
        for (int s = 0; s <= slots.size(); s++) {
            for (int t = 0; t <= taps.size(); t++) {
                if (s == 0 && t == 0) {
                    continue;
                }
                int best = Integer.MAX_VALUE;
                if (s > 0) {
                    best = cost[s - 1][t] + (slots.get(s - 1).must ? 1 : 0);
                }
                if (t > 0) {
                    best = Math.min(best, cost[s][t - 1] + 1);
                }
                if (s > 0 && t > 0 && slots.get(s - 1).event.equals(taps.get(t - 1).event())) {
                    best = Math.min(best, cost[s - 1][t - 1]);
                }
                cost[s][t] = best;
            }
        }
        return cost;
    }

    /** Walks back from the end; a match is taken before anything else, so that equal costs keep the log together. */
    private static List<EventLine> lineUp(List<Slot> slots, List<CycleLog.Tap> taps, int[][] cost, CycleScript script, BigDecimal hand) {
        List<EventLine> lines = new ArrayList<>();
        int s = slots.size();
        int t = taps.size();
        while (s > 0 || t > 0) {
            boolean same = s > 0 && t > 0 && slots.get(s - 1).event.equals(taps.get(t - 1).event());
            if (same && cost[s][t] == cost[s - 1][t - 1]) {
                s--;
                t--;
                lines.add(matched(slots.get(s), taps, t, hand));
            } else if (t > 0 && cost[s][t] == cost[s][t - 1] + 1) {
                t--;
                Optional<CycleScript.Never> never = script.forbids(taps.get(t).event());
                lines.add(new EventLine(taps.get(t).event(), Optional.of(taps.get(t).at()), since(taps, t), Optional.empty(),
                        never.isPresent() ? Verdict.FORBIDDEN : Verdict.EXTRA, never.filter(CycleScript.Never::hazard).isPresent()));
            } else {
                s--;
                if (slots.get(s).must) {
                    lines.add(new EventLine(slots.get(s).event, Optional.empty(), Optional.empty(), slots.get(s).window, Verdict.MISSING,
                            false));
                }
            }
        }
        Collections.reverse(lines);
        return lines;
    }

    private static EventLine matched(Slot slot, List<CycleLog.Tap> taps, int t, BigDecimal hand) {
        Optional<BigDecimal> took = since(taps, t);
        Verdict verdict = Verdict.RIGHT;
        if (slot.window.isPresent() && took.isPresent()) {
            if (took.get().compareTo(slot.window.get().least().subtract(hand)) < 0) {
                verdict = Verdict.EARLY;
            } else if (took.get().compareTo(slot.window.get().most().add(hand)) > 0) {
                verdict = Verdict.LATE;
            }
        }
        return new EventLine(slot.event, Optional.of(taps.get(t).at()), took, slot.window, verdict, false);
    }

    private static Optional<BigDecimal> since(List<CycleLog.Tap> taps, int t) {
        return t == 0 ? Optional.empty() : Optional.of(taps.get(t).at().subtract(taps.get(t - 1).at()));
    }

    private static List<EventLine> outOfOrder(List<EventLine> lines) {
        List<EventLine> sorted = new ArrayList<>(lines);
        for (int i = 0; i < sorted.size(); i++) {
            EventLine extra = sorted.get(i);
            if (extra.verdict == Verdict.EXTRA) {
                Optional<EventLine> missing = sorted.stream().filter(l -> l.verdict == Verdict.MISSING && l.event.equals(extra.event))
                        .findFirst();
                if (missing.isPresent()) {
                    sorted.set(i, new EventLine(extra.event, extra.at, extra.took, missing.get().window, Verdict.OUT_OF_ORDER, false));
                    int gone = sorted.indexOf(missing.get());
                    sorted.remove(gone);
                    i -= gone < i ? 1 : 0;
                }
            }
        }
        return List.copyOf(sorted);
    }

    /** Everything was right as far as it goes, and it stops before the end: what should have come after is not known. */
    public boolean breaksOff() {
        int last = -1;
        for (int i = 0; i < lines.size(); i++) {
            last = lines.get(i).at.isPresent() ? i : last;
        }
        int logged = last + 1;
        return logged < lines.size() && lines.subList(0, logged).stream().allMatch(l -> l.verdict == Verdict.RIGHT)
                && lines.subList(logged, lines.size()).stream().allMatch(l -> l.verdict == Verdict.MISSING);
    }

    public boolean isRight() {
        return lines.stream().allMatch(l -> l.verdict == Verdict.RIGHT);
    }

    /** Something happened that can hurt somebody. */
    public boolean isHazard() {
        return lines.stream().anyMatch(EventLine::hazard);
    }

    public List<EventLine> wrong() {
        return lines.stream().filter(l -> l.verdict != Verdict.RIGHT).toList();
    }
}
