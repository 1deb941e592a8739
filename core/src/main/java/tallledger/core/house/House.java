package tallledger.core.house;

import java.util.List;
import tallledger.core.blame.Check;
import tallledger.core.gauge.Grade;
import tallledger.core.rules.Rules;

/**
 * What a house judges and reckons by, as it stood at one version.
 *
 * @param version number of the entry in the house's book that made it
 * @param hash    of that entry; empty before anything is written
 * @param rules   its judgement numbers
 * @param checks  what to check behind a symptom or a system, with what it costs
 */
public record House(int version, String hash, Rules rules, List<Check> checks) {

    /** Its first version is as it ships, whether that was written down yet or not. */
    public static final int FIRST = 1;

    public House {
        checks = List.copyOf(checks);
    }

    /** The same, for a survey that judges its machine as of this grade. */
    public House judgedAs(Grade grade) {
        return new House(version, hash, rules.judgedAs(grade), checks);
    }

    public static House shipped(List<Check> checks) {
        return new House(FIRST, "", Rules.shipped(), checks);
    }
}
