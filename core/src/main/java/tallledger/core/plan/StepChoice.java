package tallledger.core.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tallledger.core.family.Step;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * The steps that take most off the unknown together, for every number of seconds at once: Σ_r mean_r·(1 − q_r)·(1 − Π_s (1 − p_s·w_sr))
 * (W 4.2). Steps that lead to one repair share its worth, so the second look at a bed is worth less than the first.
 *
 * <p>Exact. Steps that share no repair, directly or through others, add up; such groups are chosen from one by one (knapsack of many
 * choices). In a group alike steps, of the same time, chance and repairs, differ by nothing, so that only how many of each kind are done
 * has to be tried. Where a group still has more choices than {@link #MOST}, it is gone through greedily and {@link #isProven} is false.
 */
final class StepChoice {

    /** So little money that it only ever decides between equals. */
    static final double TRIFLE = 1e-9;
    /** Choices in one group that are tried. */
    private static final int MOST = 4_096;

    /** Some steps of a group, what they take and what they are worth. */
    private record Some(int takes, double worth, List<Integer> steps) {
    }

    private final List<Step> steps;
    private final LookingWorth worths;
    private final List<Double> trifles;
    private final int grain;
    private final int room;
    private final double[] best;
    private final List<Some[]> chosen = new ArrayList<>();
    private boolean proven = true;

    /** @param seconds the most there are */
    StepChoice(List<Step> steps, LookingWorth worths, Rules rules, int seconds) {
        this.steps = steps;
        this.worths = worths;
        this.trifles = rules.figures(Rule.WORTH_STEP).stream().map(t -> TRIFLE * t.doubleValue()).toList();
        this.grain = Math.max(1, steps.stream().mapToInt(Step::seconds).reduce(0, StepChoice::gcd));
        this.room = Math.min(seconds, steps.stream().mapToInt(Step::seconds).sum()) / grain;
        this.best = new double[room + 1];
        groups().forEach(this::choose);
    }

    private static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }

    /** Steps by the repairs they lead to, those that share one together. */
    private List<List<Integer>> groups() {
        Map<String, Integer> first = new HashMap<>();
        int[] group = IntStream.range(0, steps.size()).toArray();
        for (int i = 0; i < steps.size(); i++) {
            for (LookingWorth.WorthAsking ask : worths.asks(steps.get(i))) {
                int with = first.computeIfAbsent(ask.repair(), k -> -1);
                if (with < 0) {
                    first.put(ask.repair(), i);
                } else {
                    int from = group[i];
                    int to = group[with];
                    IntStream.range(0, group.length).filter(g -> group[g] == from).forEach(g -> group[g] = to);
                }
            }
        }
        return List.copyOf(IntStream.range(0, steps.size()).boxed().collect(Collectors.groupingBy(i -> group[i], LinkedHashMap::new,
                Collectors.toList())).values());
    }

    /** One group more: for every room the best of its choices with the best of the groups before in what is left. */
    private void choose(List<Integer> group) {
        List<Some> choices = choices(group);
        Some[] taken = new Some[room + 1];
        for (int r = room; r >= 0; r--) {
            double most = best[r];
            for (Some some : choices) {
                if (some.takes <= r && best[r - some.takes] + some.worth > most) {
                    most = best[r - some.takes] + some.worth;
                    taken[r] = some;
                }
            }
            best[r] = most;
        }
        chosen.add(taken);
    }

    /** Choices of a group that no other beats in worth and time. */
    private List<Some> choices(List<Integer> group) {
        Map<Object, List<Integer>> kinds = group.stream().collect(Collectors.groupingBy(this::kind, LinkedHashMap::new,
                Collectors.toList()));
        long all = 1;
        for (List<Integer> kind : kinds.values()) {
            all = Math.min(MOST + 1L, all * (kind.size() + 1));
        }
        List<Some> some = all > MOST ? greedily(group) : counts(List.copyOf(kinds.values()));
        some.sort(Comparator.comparingInt(Some::takes).thenComparing(Comparator.comparingDouble(Some::worth).reversed()));
        List<Some> unbeaten = new ArrayList<>();
        for (Some one : some) {
            if (unbeaten.isEmpty() || one.worth > unbeaten.get(unbeaten.size() - 1).worth) {
                unbeaten.add(one);
            }
        }
        return unbeaten;
    }

    private Object kind(int step) {
        return List.of(steps.get(step).seconds(), steps.get(step).ifBad(), Set.copyOf(worths.asks(steps.get(step))));
    }

    /** So many of each kind, in every way. */
    private List<Some> counts(List<List<Integer>> kinds) {
        List<List<Integer>> sets = new ArrayList<>(List.of(List.of()));
        for (List<Integer> kind : kinds) {
            List<List<Integer>> longer = new ArrayList<>();
            for (List<Integer> set : sets) {
                for (int n = 0; n <= kind.size(); n++) {
                    List<Integer> more = new ArrayList<>(set);
                    more.addAll(kind.subList(0, n));
                    longer.add(more);
                }
            }
            sets = longer;
        }
        return new ArrayList<>(sets.stream().filter(s -> !s.isEmpty()).map(this::some).toList());
    }

    /** One after the other, each the one worth most a second after those before. */
    private List<Some> greedily(List<Integer> group) {
        proven = false;
        List<Some> some = new ArrayList<>();
        List<Integer> left = new ArrayList<>(group);
        List<Integer> done = new ArrayList<>();
        while (!left.isEmpty()) {
            double before = worth(done);
            Integer next = left.stream().max(Comparator.comparingDouble(i -> {
                List<Integer> with = new ArrayList<>(done);
                with.add(i);
                return (worth(with) - before) / steps.get(i).seconds();
            })).orElseThrow();
            left.remove(next);
            done.add(next);
            some.add(some(List.copyOf(done)));
        }
        return some;
    }

    private Some some(List<Integer> of) {
        return new Some(of.stream().mapToInt(i -> steps.get(i).seconds()).sum() / grain, worth(of)
                + of.stream().mapToDouble(i -> trifles.get(steps.get(i).ifBad().ordinal())).sum(), of);
    }

    private double worth(List<Integer> of) {
        return worths.together(of.stream().map(steps::get).toList());
    }

    /** Whether no other choice is worth more. */
    boolean isProven() {
        return proven;
    }

    /** The most that steps are worth within so many seconds. */
    double best(double seconds) {
        return best[rooms(seconds)];
    }

    private int rooms(double seconds) {
        return (int) Math.max(0, Math.min(room, Math.floor(seconds / grain + 1e-9)));
    }

    /** Places of the steps chosen within so many seconds. */
    Set<Integer> chosen(double seconds) {
        Set<Integer> places = new HashSet<>();
        int left = rooms(seconds);
        for (int g = chosen.size() - 1; g >= 0; g--) {
            Some some = chosen.get(g)[left];
            if (some != null) {
                places.addAll(some.steps);
                left -= some.takes;
            }
        }
        return proven ? places : filled(places, rooms(seconds));
    }

    /** What was chosen greedily leaves time: whatever else fits is taken, worth most a second first. */
    private Set<Integer> filled(Set<Integer> places, int rooms) {
        Set<Integer> filled = new HashSet<>(places);
        while (true) {
            int left = rooms * grain - filled.stream().mapToInt(i -> steps.get(i).seconds()).sum();
            double before = some(List.copyOf(filled)).worth;
            Optional<Integer> next = IntStream.range(0, steps.size()).boxed().filter(i -> !filled.contains(i)
                    && steps.get(i).seconds() <= left).max(Comparator.comparingDouble(i -> {
                        List<Integer> with = new ArrayList<>(filled);
                        with.add(i);
                        return (some(with).worth - before) / steps.get(i).seconds();
                    }));
            if (next.isEmpty()) {
                return filled;
            }
            filled.add(next.get());
        }
    }
}
