package tallledger.core.evidence;

import java.util.List;
import tallledger.core.evidence.Recording.Field;
import tallledger.core.rules.Rules;

/**
 * How the readings of one way of measuring are typed and what they come to.
 *
 * @param <V> what they are read to
 */
interface Taking<V> {

    /** What is typed; where none of those that must be is, the result alone is taken. */
    List<Field> fields(ChartLine line);

    V read(Values values, ChartLine line);

    StepJudgement judge(V value, ChartLine line, Rules rules);

    /** Whether the readings have their own sign, so that nobody is asked which way the result lies. */
    default boolean isSigned() {
        return false;
    }
}
