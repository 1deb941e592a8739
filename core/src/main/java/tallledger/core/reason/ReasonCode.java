package tallledger.core.reason;

import java.util.List;

/** What can be said. Each package has an enum of its own, so that the compiler knows every code. */
public interface ReasonCode {

    Sentence sentence();

    default String code() {
        return sentence().code();
    }

    default List<String> arguments() {
        return sentence().arguments();
    }

    default List<Enum<?>> row() {
        return sentence().row();
    }
}
