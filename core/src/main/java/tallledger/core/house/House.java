package tallledger.core.house;

import java.util.List;
import java.util.Optional;
import tallledger.core.blame.Check;
import tallledger.core.gauge.Gauge;
import tallledger.core.gauge.Grade;
import tallledger.core.price.Repair;
import tallledger.core.price.Spread;
import tallledger.core.reason.Refused;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;
import tallledger.core.unit.LengthUnit;

/**
 * What a house judges and reckons by, as it stood at one version.
 *
 * @param version number of the entry in the house's book that made it
 * @param hash    of that entry; empty before anything is written
 * @param rules   its judgement numbers
 * @param checks  what to check behind a symptom or a system, with what it costs
 * @param repairs what a fault leads to, with hours and parts
 * @param gauges  those it owns; a reading that names none was taken with the usual one of its kind
 */
public record House(int version, String hash, Rules rules, List<Check> checks, List<Repair> repairs, List<HouseGauge> gauges) {

    /** Its first version is as it ships, whether that was written down yet or not. */
    public static final int FIRST = 1;

    public House {
        checks = List.copyOf(checks);
        repairs = List.copyOf(repairs);
        gauges = List.copyOf(gauges);
    }

    /** The same, for a survey that judges a machine read in this unit as of this grade. */
    public House judging(LengthUnit unit, Grade grade) {
        return new House(version, hash, rules.in(unit).judgedAs(grade), checks, repairs, gauges);
    }

    /** Its gauges of a kind, in the order they were listed. */
    public List<HouseGauge> gauges(Rule kind) {
        return gauges.stream().filter(g -> g.kind() == kind).toList();
    }

    /**
     * The gauge somebody says a reading was taken with; empty for the usual one.
     *
     * @param id   empty where nobody says
     * @param kind what is read with; empty where nothing is
     * @throws Refused at "gauge" where the house has none of that name for it
     */
    public Optional<Gauge> gauge(String id, Optional<Rule> kind) {
        if (id.isBlank() || kind.isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(gauges(kind.get()).stream().filter(g -> g.id().equals(id)).findFirst()
                .orElseThrow(() -> Refused.because(HouseReason.GAUGE_GONE).at("gauge")).gauge());
    }

    public static House shipped(List<Check> checks) {
        return shipped(checks, repairsOf(checks));
    }

    public static House shipped(List<Check> checks, List<Repair> repairs) {
        return new House(FIRST, "", Rules.shipped(), checks, repairs, List.of());
    }

    /**
     * The repairs of a version that had only a table of checks: each row with a cost, the whole of it outside work, so that old records
     * keep
     * the figures they were judged by.
     */
    static List<Repair> repairsOf(List<Check> checks) {
        return checks.stream().filter(c -> c.high().signum() > 0).map(c -> new Repair(c.about(), c.kind().map(Enum::name).orElse(""),
                c.what().length() > 200 ? c.what().substring(0, 200) : c.what(), Spread.NONE, new Spread(c.low(), c.likely(), c.high())))
                .toList();
    }
}
