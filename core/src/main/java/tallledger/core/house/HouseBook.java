package tallledger.core.house;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import tallledger.core.blame.Check;
import tallledger.core.ledger.Entry;
import tallledger.core.price.Repair;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Reason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * The house's book, folded: each entry that can be read makes a version, one that cannot leaves the version before in force.
 *
 * @param first    as the application ships it
 * @param versions by the number of the entry that made each
 * @param changes  what each entry changed, in order
 * @param strays   entries that change nothing, and why
 * @param issued   the figures last issued, by name; whether they are still those of this release says {@link #isIssued}
 */
public record HouseBook(House first, TreeMap<Integer, House> versions, List<Change> changes, Map<Integer, Reason> strays,
        Optional<HouseChange.Issued> issued) {

    /** One entry with what it changes. */
    public record Change(Entry entry, HouseChange what) {
    }

    /** Of a release that had only a table of checks. */
    public static HouseBook of(List<Entry> entries, List<Check> shippedChecks) {
        return of(entries, House.shipped(shippedChecks));
    }

    /** @param shipped what this release comes with */
    public static HouseBook of(List<Entry> entries, House shipped) {
        HouseFold fold = new HouseFold(shipped);
        entries.forEach(fold::take);
        return new HouseBook(shipped, fold.versions, List.copyOf(fold.changes), fold.strays, fold.issued);
    }

    public House newest() {
        return versions.isEmpty() ? first : versions.lastEntry().getValue();
    }

    /** The version of that number, or the last before it that can be read; the first where there is none. */
    public House at(int version) {
        return Optional.ofNullable(versions.floorEntry(version)).map(Map.Entry::getValue).orElse(first);
    }

    /** Whether this release's own figures and checks stand in the book. */
    public boolean isIssued() {
        return issued.filter(i -> i.checks().equals(first.checks()) && i.repairs().equals(first.repairs())
                && Stream.of(Rule.values()).allMatch(r -> isSame(r.shipped(), i.figures().getOrDefault(r.name(), List.of())))).isPresent();
    }

    private static boolean isSame(List<BigDecimal> some, List<BigDecimal> others) {
        if (some.size() != others.size()) {
            return false;
        }
        for (int i = 0; i < some.size(); i++) {
            if (some.get(i).compareTo(others.get(i)) != 0) {
                return false;
            }
        }
        return true;
    }

    /** What was changed of a rule by the house itself, newest first. */
    public List<Change> historyOf(Rule rule) {
        return newestFirst(HouseChange.Kind.RULE, rule.name());
    }

    public List<Change> historyOfStep(String code) {
        return newestFirst(HouseChange.Kind.STEP_TIME, code);
    }

    /** Keys the house seals with, the newest first, each with the entry of its first use. */
    public List<Change> keys() {
        return newestFirst(HouseChange.Kind.KEY, "");
    }

    /** A device with the entry that let it in, and the one that ended that, if one did. */
    public record Paired(Device device, Entry in, Optional<Entry> out) {

        public boolean isIn(Instant now) {
            return out.isEmpty() && !device.isOver(now);
        }
    }

    /** All that were ever let in, the newest first. */
    public List<Paired> devices() {
        Map<String, Paired> devices = new LinkedHashMap<>();
        for (Change change : changes) {
            if (change.what() instanceof HouseChange.DevicePaired paired) {
                devices.putIfAbsent(paired.device().id(), new Paired(paired.device(), change.entry(), Optional.empty()));
            } else if (change.what() instanceof HouseChange.DeviceOut out) {
                devices.computeIfPresent(out.id(),
                        (id, d) -> new Paired(d.device(), d.in(), d.out().or(() -> Optional.of(change.entry()))));
            }
        }
        List<Paired> newest = new ArrayList<>(devices.values());
        Collections.reverse(newest);
        return newest;
    }

    /** Who was not let in, the newest first. */
    public List<Change> refusals() {
        return newestFirst(HouseChange.Kind.DEVICE_REFUSED, "");
    }

    public List<Change> historyOfGauge(String id) {
        List<Change> some = new ArrayList<>(newestFirst(HouseChange.Kind.GAUGE, id));
        some.addAll(newestFirst(HouseChange.Kind.GAUGE_OUT, id));
        return some;
    }

    /** An identity that no gauge of this book has or had. */
    public String nextGauge() {
        return "g" + (1 + changes.stream().filter(c -> c.entry().kind().equals(HouseChange.Kind.GAUGE.name())).map(c -> c.entry().step())
                .distinct().count());
    }

    private List<Change> newestFirst(HouseChange.Kind kind, String of) {
        List<Change> some = new ArrayList<>(changes.stream().filter(c -> c.entry().kind().equals(kind.name())
                && c.entry().step().equals(of)).toList());
        Collections.reverse(some);
        return some;
    }

    /** What the house would be with one more change. @throws Refused where that makes no sense */
    public House with(HouseChange change) {
        HouseFold fold = new HouseFold(newest());
        change.accept(fold);
        return new House(newest().version() + 1, "", fold.rules, fold.checks, fold.repairs, List.copyOf(fold.gauges.values()));
    }

    private static final class HouseFold implements HouseChange.ChangeVisitor<Void> {

        private final TreeMap<Integer, House> versions = new TreeMap<>();
        private final List<Change> changes = new ArrayList<>();
        private final Map<Integer, Reason> strays = new TreeMap<>();
        private final Set<Rule> own = EnumSet.noneOf(Rule.class);
        private Optional<HouseChange.Issued> issued = Optional.empty();
        private boolean ownChecks;
        private Rules rules;
        private List<Check> checks;
        private List<Repair> repairs;
        private boolean ownRepairs;
        private final Map<String, HouseGauge> gauges = new LinkedHashMap<>();

        private HouseFold(House from) {
            rules = from.rules();
            checks = from.checks();
            repairs = from.repairs();
            from.gauges().forEach(g -> gauges.put(g.id(), g));
        }

        private void take(Entry entry) {
            if (entry.damage().isPresent()) {
                strays.put(entry.sequence(), entry.damage().get());
                return;
            }
            try {
                HouseChange change = HouseChange.from(entry);
                change.accept(this);
                changes.add(new Change(entry, change));
                if (HouseChange.Kind.valueOf(entry.kind()).makesVersion()) {
                    versions.put(entry.sequence(), new House(entry.sequence(), entry.hash(), rules, checks, repairs,
                            List.copyOf(gauges.values())));
                }
            } catch (Refused refused) {
                strays.put(entry.sequence(), Reason.of(CommonReason.STRAY_REFUSED, refused.reason()));
            } catch (RuntimeException unread) {
                strays.put(entry.sequence(), Reason.of(CommonReason.STRAY_UNREADABLE));
            }
        }

        @Override
        public Void issued(HouseChange.Issued change) {
            issued = Optional.of(change);
            change.figures().forEach((name, figures) -> Rule.named(name).filter(rule -> !own.contains(rule))
                    .ifPresent(rule -> rules = rules.with(rule, figures)));
            checks = ownChecks ? checks : change.checks();
            repairs = ownRepairs ? repairs : change.repairs();
            return null;
        }

        @Override
        public Void ruled(HouseChange.Ruled change) {
            rules = rules.with(change.rule(), change.figures());
            own.add(change.rule());
            return null;
        }

        @Override
        public Void timed(HouseChange.Timed change) {
            rules = rules.withStep(change.step(), change.seconds());
            return null;
        }

        @Override
        public Void listed(HouseChange.ChecksListed change) {
            checks = change.checks();
            ownChecks = true;
            return null;
        }

        @Override
        public Void gauge(HouseChange.GaugeListed change) {
            gauges.put(change.gauge().id(), change.gauge());
            return null;
        }

        @Override
        public Void gauge(HouseChange.GaugeOut change) {
            if (gauges.remove(change.id()) == null) {
                throw Refused.because(HouseReason.GAUGE_GONE).at("gauge");
            }
            return null;
        }

        @Override
        public Void row(HouseChange.CheckRow change) {
            checks = change.in(checks);
            ownChecks = true;
            return null;
        }

        @Override
        public Void repair(HouseChange.RepairRow change) {
            repairs = change.in(repairs);
            ownRepairs = true;
            return null;
        }

        @Override
        public Void key(HouseChange.KeyMade change) {
            return null;
        }

        @Override
        public Void device(HouseChange.DevicePaired change) {
            return null;
        }

        /** One that was never let in cannot go. */
        @Override
        public Void device(HouseChange.DeviceOut change) {
            if (changes.stream().noneMatch(c -> c.what() instanceof HouseChange.DevicePaired p && p.device().id().equals(change.id()))) {
                throw Refused.because(HouseReason.DEVICE_GONE);
            }
            return null;
        }

        @Override
        public Void device(HouseChange.PairingRefused change) {
            return null;
        }
    }
}
