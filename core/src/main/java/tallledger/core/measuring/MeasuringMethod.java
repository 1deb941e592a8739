package tallledger.core.measuring;

import java.util.List;
import tallledger.core.evidence.RecordField;
import tallledger.core.evidence.StepJudgement;
import tallledger.core.evidence.Values;
import tallledger.core.rules.Rule;
import tallledger.core.rules.Rules;

/**
 * A way in which a line of an acceptance chart is measured: what is typed, what that is read to, and what it comes to. Its picture, its
 * drawing and its simulated readings are made by visitors, which do not compile without it.
 *
 * @param <V> what the readings are read to
 */
public interface MeasuringMethod<V> {

    /** What it is usually read with. */
    Rule gauge();

    /** What is typed; where none of those that must be is, the result alone is taken. */
    List<RecordField> fields(ChartLine<?> line);

    /** @throws tallledger.core.reason.Refused naming the field that cannot be read */
    V read(Values values, ChartLine<?> line);

    StepJudgement judge(V readings, ChartLine<?> line, Rules rules);

    /** Whether the readings have their own sign, so that nobody is asked which way the result lies. */
    default boolean isSigned() {
        return false;
    }

    <T> T accept(MethodVisitor<T> visitor);

    <T> T accept(V readings, MethodVisitor.OfReadings<T> visitor);
}
