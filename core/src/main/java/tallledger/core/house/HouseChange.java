package tallledger.core.house;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tallledger.core.blame.Check;
import tallledger.core.ledger.Authorship;
import tallledger.core.ledger.Draft;
import tallledger.core.ledger.Entry;
import tallledger.core.ledger.Payload;
import tallledger.core.price.Repair;
import tallledger.core.price.Spread;
import tallledger.core.reason.CommonReason;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.unit.Unit;

/** What an entry of the house's book changes, decoded once. */
public sealed interface HouseChange {

    int LONGEST_REASON = 300;

    /** What is made of a change of each kind. */
    interface ChangeVisitor<T> {

        T issued(Issued change);

        T ruled(Ruled change);

        T timed(Timed change);

        T listed(ChecksListed change);

        T row(CheckRow change);

        T repair(RepairRow change);

        T gauge(GaugeListed change);

        T gauge(GaugeOut change);

        T key(KeyMade change);

        T device(DevicePaired change);

        T device(DeviceOut change);

        T device(PairingRefused change);
    }

    /** Kinds of entry in the house's book. */
    enum Kind {
        ISSUED, RULE, STEP_TIME, CHECKS, CHECK, REPAIR, GAUGE, GAUGE_OUT, KEY, DEVICE, DEVICE_OUT, DEVICE_REFUSED;

        /** Whether surveys are judged otherwise after it: who may come in and what is sealed with changes no figure. */
        boolean makesVersion() {
            return ordinal() < KEY.ordinal();
        }
    }

    <T> T accept(ChangeVisitor<T> visitor);

    Draft draft(Authorship by);

    /**
     * The figures and checks the application came with, so that a version stands by itself whatever a later release ships. What the house
     * changed of its own stays.
     *
     * @param figures of rules by name; one that this version does not know is kept and says nothing
     * @param repairs of entries of before that had none: what their checks cost
     */
    record Issued(Map<String, List<BigDecimal>> figures, List<Check> checks, List<Repair> repairs) implements HouseChange {
        /** Of a release that has only a table of checks. */
        public static Issued now(List<Check> checks) {
            return now(checks, House.repairsOf(checks));
        }

        public static Issued now(List<Check> checks, List<Repair> repairs) {
            Map<String, List<BigDecimal>> figures = new HashMap<>();
            Stream.of(Rule.values()).forEach(rule -> figures.put(rule.name(), rule.shipped()));
            return new Issued(figures, checks, repairs);
        }

        static Issued from(Payload p) {
            Map<String, List<BigDecimal>> figures = new HashMap<>();
            Payload kept = p.part("figures");
            kept.fields().keySet().forEach(name -> figures.put(name, decimals(kept, name)));
            List<Check> checks = table(p);
            return new Issued(figures, checks, p.has("repairs") ? p.parts("repairs").stream().map(HouseChange::repair).toList()
                    : House.repairsOf(checks));
        }

        @Override
        public <T> T accept(ChangeVisitor<T> visitor) {
            return visitor.issued(this);
        }

        @Override
        public Draft draft(Authorship by) {
            Map<String, Object> kept = new HashMap<>();
            figures.forEach((name, these) -> kept.put(name, texts(these)));
            return Draft.of(by, Kind.ISSUED.name(), "", Map.of("figures", kept, "checks", checks.stream().map(HouseChange::kept).toList(),
                    "repairs", repairs.stream().map(HouseChange::kept).toList()));
        }
    }

    /** A rule has other figures from here on. */
    record Ruled(Rule rule, List<BigDecimal> figures, String reason) implements HouseChange {

        /** @throws Refused naming the figure, or "reason" */
        public Ruled {
            rule.check(figures);
            reason = checked(reason);
        }

        static Ruled from(Payload p) {
            return new Ruled(Rule.named(p.text("rule")).orElseThrow(() -> Refused.because(HouseReason.RULE_UNKNOWN, p.text("rule"))),
                    decimals(p, "figures"), p.text("reason"));
        }

        @Override
        public <T> T accept(ChangeVisitor<T> visitor) {
            return visitor.ruled(this);
        }

        @Override
        public Draft draft(Authorship by) {
            return Draft.of(by, Kind.RULE.name(), rule.name(), Map.of("rule", rule.name(), "figures", texts(figures), "reason", reason));
        }
    }

    /** A step takes another time. */
    record Timed(String step, int seconds, String reason) implements HouseChange {

        private static final int LONGEST = 7200;

        public Timed {
            if (seconds < 1 || seconds > LONGEST) {
                throw Refused.because(CommonReason.RULE_RANGE, seconds, 1, LONGEST, Unit.SECONDS.symbol()).at("seconds");
            }
            reason = checked(reason);
        }

        static Timed from(Payload p) {
            return new Timed(p.text("step"), p.whole("seconds"), p.text("reason"));
        }

        @Override
        public <T> T accept(ChangeVisitor<T> visitor) {
            return visitor.timed(this);
        }

        @Override
        public Draft draft(Authorship by) {
            return Draft.of(by, Kind.STEP_TIME.name(), step, Map.of("step", step, "seconds", seconds, "reason", reason));
        }
    }

    /** The whole table of checks anew. */
    record ChecksListed(List<Check> checks, String reason) implements HouseChange {

        public ChecksListed {
            checks = List.copyOf(checks);
            reason = checked(reason);
        }

        static ChecksListed from(Payload p) {
            return new ChecksListed(table(p), p.text("reason"));
        }

        @Override
        public <T> T accept(ChangeVisitor<T> visitor) {
            return visitor.listed(this);
        }

        @Override
        public Draft draft(Authorship by) {
            return Draft.of(by, Kind.CHECKS.name(), "", Map.of("checks", checks.stream().map(HouseChange::kept).toList(), "reason",
                    reason));
        }
    }

    /**
     * One row of the table of checks.
     *
     * @param was the row as it was; empty for a new one
     * @param now the row as it is from here on; empty where it is taken out
     */
    record CheckRow(Optional<Check> was, Optional<Check> now, String reason) implements HouseChange {

        public CheckRow {
            reason = checked(reason);
        }

        static CheckRow from(Payload p) {
            return new CheckRow(optional(p, "was"), optional(p, "now"), p.text("reason"));
        }

        private static Optional<Check> optional(Payload p, String name) {
            return p.has(name) ? Optional.of(check(p.part(name))) : Optional.empty();
        }

        /** @throws Refused where the table no longer has the row as it was */
        List<Check> in(List<Check> table) {
            List<Check> rows = new ArrayList<>(table);
            int at = was.map(rows::indexOf).orElse(rows.size());
            if (at < 0) {
                throw Refused.because(HouseReason.CHECK_ROW_GONE);
            }
            if (was.isPresent()) {
                rows.remove(at);
            }
            now.ifPresent(check -> rows.add(at, check));
            return rows;
        }

        @Override
        public <T> T accept(ChangeVisitor<T> visitor) {
            return visitor.row(this);
        }

        @Override
        public Draft draft(Authorship by) {
            Map<String, Object> payload = new HashMap<>(Map.of("reason", reason));
            was.ifPresent(check -> payload.put("was", kept(check)));
            now.ifPresent(check -> payload.put("now", kept(check)));
            return Draft.of(by, Kind.CHECK.name(), now.or(() -> was).map(Check::about).orElse(""), payload);
        }
    }

    /**
     * One row of the table of repairs.
     *
     * @param was the row as it was; empty for a new one
     * @param now the row as it is from here on; empty where it is taken out
     */
    record RepairRow(Optional<Repair> was, Optional<Repair> now, String reason) implements HouseChange {

        public RepairRow {
            reason = checked(reason);
        }

        static RepairRow from(Payload p) {
            return new RepairRow(p.has("was") ? Optional.of(repair(p.part("was"))) : Optional.empty(),
                    p.has("now") ? Optional.of(repair(p.part("now"))) : Optional.empty(), p.text("reason"));
        }

        /** @throws Refused where the table no longer has the row as it was */
        List<Repair> in(List<Repair> table) {
            List<Repair> rows = new ArrayList<>(table);
            int at = was.map(rows::indexOf).orElse(rows.size());
            if (at < 0) {
                throw Refused.because(HouseReason.CHECK_ROW_GONE);
            }
            was.ifPresent(gone -> rows.remove(at));
            now.ifPresent(repair -> rows.add(at, repair));
            return rows;
        }

        @Override
        public <T> T accept(ChangeVisitor<T> visitor) {
            return visitor.repair(this);
        }

        @Override
        public Draft draft(Authorship by) {
            Map<String, Object> payload = new HashMap<>(Map.of("reason", reason));
            was.ifPresent(repair -> payload.put("was", kept(repair)));
            now.ifPresent(repair -> payload.put("now", kept(repair)));
            return Draft.of(by, Kind.REPAIR.name(), now.or(() -> was).map(Repair::about).orElse(""), payload);
        }
    }

    /** A gauge of the house is listed, or described anew. */
    record GaugeListed(HouseGauge gauge, String reason) implements HouseChange {

        public GaugeListed {
            reason = checked(reason);
        }

        static GaugeListed from(Payload p) {
            return new GaugeListed(HouseGauge.from(p), p.text("reason"));
        }

        @Override
        public <T> T accept(ChangeVisitor<T> visitor) {
            return visitor.gauge(this);
        }

        @Override
        public Draft draft(Authorship by) {
            Map<String, Object> payload = new HashMap<>(gauge.toPayload());
            payload.put("reason", reason);
            return Draft.of(by, Kind.GAUGE.name(), gauge.id(), payload);
        }
    }

    /** A gauge is not used any more; what was read with it stands, and names it. */
    record GaugeOut(String id, String name, String reason) implements HouseChange {

        public GaugeOut {
            reason = checked(reason);
        }

        static GaugeOut from(Payload p) {
            return new GaugeOut(p.text("id"), p.text("name"), p.text("reason"));
        }

        @Override
        public <T> T accept(ChangeVisitor<T> visitor) {
            return visitor.gauge(this);
        }

        @Override
        public Draft draft(Authorship by) {
            return Draft.of(by, Kind.GAUGE_OUT.name(), id, Map.of("id", id, "name", name, "reason", reason));
        }
    }

    /** A device was let in. */
    record DevicePaired(Device device) implements HouseChange {

        @Override
        public <T> T accept(ChangeVisitor<T> visitor) {
            return visitor.device(this);
        }

        @Override
        public Draft draft(Authorship by) {
            return Draft.of(by, Kind.DEVICE.name(), device.id(), device.toPayload());
        }
    }

    /** A device is let in no more, before its time. What was written with it stands. */
    record DeviceOut(String id, String name) implements HouseChange {

        static DeviceOut from(Payload p) {
            return new DeviceOut(p.text("id"), p.text("name"));
        }

        @Override
        public <T> T accept(ChangeVisitor<T> visitor) {
            return visitor.device(this);
        }

        @Override
        public Draft draft(Authorship by) {
            return Draft.of(by, Kind.DEVICE_OUT.name(), id, Map.of("id", id, "name", name));
        }
    }

    /**
     * Somebody was not let in.
     *
     * @param from  the address they came from
     * @param why   what was wrong with their code
     * @param tries how many this entry stands for: past some a day, those that follow are counted and not written one by one
     */
    record PairingRefused(String from, Wrong why, int tries) implements HouseChange {

        /** What was wrong with a code. */
        public enum Wrong { UNKNOWN, USED, OLD }

        static PairingRefused from(Payload p) {
            return new PairingRefused(p.text("from"), Wrong.valueOf(p.text("why")), p.whole("tries"));
        }

        @Override
        public <T> T accept(ChangeVisitor<T> visitor) {
            return visitor.device(this);
        }

        @Override
        public Draft draft(Authorship by) {
            return Draft.of(by, Kind.DEVICE_REFUSED.name(), "", Map.of("from", from, "why", why.name(), "tries", tries));
        }
    }

    /** @throws RuntimeException where it cannot be read */
    static HouseChange from(Entry entry) {
        Payload p = entry.payload();
        return switch (Kind.valueOf(entry.kind())) {
            case ISSUED -> Issued.from(p);
            case RULE -> Ruled.from(p);
            case STEP_TIME -> Timed.from(p);
            case CHECKS -> ChecksListed.from(p);
            case CHECK -> CheckRow.from(p);
            case REPAIR -> RepairRow.from(p);
            case GAUGE -> GaugeListed.from(p);
            case GAUGE_OUT -> GaugeOut.from(p);
            case KEY -> KeyMade.from(p);
            case DEVICE -> new DevicePaired(Device.from(p));
            case DEVICE_OUT -> DeviceOut.from(p);
            case DEVICE_REFUSED -> PairingRefused.from(p);
        };
    }

    private static String checked(String typed) {
        if (typed.isBlank()) {
            throw Refused.because(HouseReason.RULE_REASON).at("reason");
        }
        if (typed.length() > LONGEST_REASON) {
            throw Refused.because(CommonReason.TEXT_LONG, typed.length(), LONGEST_REASON).at("reason");
        }
        return typed.strip();
    }

    private static List<BigDecimal> decimals(Payload p, String name) {
        return p.decimals(name);
    }

    private static List<String> texts(List<BigDecimal> figures) {
        return figures.stream().map(BigDecimal::toPlainString).toList();
    }

    /** A record without its table is damaged; an empty table is one. */
    private static List<Check> table(Payload p) {
        if (!p.has("checks")) {
            throw new IllegalArgumentException("payload lacks the table of checks");
        }
        return p.parts("checks").stream().map(HouseChange::check).toList();
    }

    private static Map<String, Object> kept(Check check) {
        return Map.of("about", check.about(), "element", check.kind().map(Enum::name).orElse(""), "check", check.what(), "low",
                check.low().toPlainString(),
                "likely", check.likely().toPlainString(), "high", check.high().toPlainString());
    }

    private static Map<String, Object> kept(Repair repair) {
        return Map.of("about", repair.about(), "element", repair.element(), "repair", repair.what(), "hours", texts(repair.hours()),
                "parts",
                texts(repair.parts()));
    }

    private static List<String> texts(Spread spread) {
        return texts(List.of(spread.low(), spread.likely(), spread.high()));
    }

    private static Repair repair(Payload p) {
        return new Repair(p.text("about"), p.text("element"), p.text("repair"), spread(p.decimals("hours")), spread(p.decimals("parts")));
    }

    private static Spread spread(List<BigDecimal> three) {
        return new Spread(three.get(0), three.get(1), three.get(2));
    }

    private static Check check(Payload p) {
        return Check.of(p.text("about"), p.text("element"), p.text("check"), p.decimal("low"),
                p.decimal("likely"), p.decimal("high"));
    }

    /**
     * A key to seal with was made, and is first used. It changes no figure.
     *
     * @param publicKey 32 bytes, base64
     */
    record KeyMade(String publicKey) implements HouseChange {

        static KeyMade from(Payload p) {
            return new KeyMade(p.text("publicKey"));
        }

        @Override
        public <T> T accept(ChangeVisitor<T> visitor) {
            return visitor.key(this);
        }

        @Override
        public Draft draft(Authorship by) {
            return Draft.of(by, Kind.KEY.name(), "", Map.of("publicKey", publicKey));
        }
    }
}
