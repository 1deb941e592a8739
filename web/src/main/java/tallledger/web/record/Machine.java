package tallledger.web.record;

import java.util.List;
import tallledger.core.ledger.Entry;
import tallledger.core.machine.MachineDescription;

/**
 * A machine's book, read.
 *
 * @param id          its book
 * @param version     sequence of its newest description
 * @param description that description
 * @param entries     all versions
 */
public record Machine(long id, int version, MachineDescription description, List<Entry> entries) {

    public String name() {
        return description.identity().name();
    }

    public MachineDescription version(int which) {
        return MachineDescription.from(entries.get(which - 1).payload());
    }
}
