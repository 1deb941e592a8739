package tallledger.web.record;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.info.BuildProperties;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the shelf showed of each machine, kept across a start so that a long shelf need not be folded again. A line counts only where it
 * rests on the books' last entries, by their hashes, and was made by this very build; losing all of them costs nothing but time.
 */
@Component
class ShelfLines {

    private static final Logger LOG = LoggerFactory.getLogger(ShelfLines.class);

    private final ShelfMapper mapper;
    private final LedgerMapper ledger;
    private final Store store;
    private final JsonMapper json = JsonMapper.builder().build();
    /** Empty where nobody knows what made this build: then nothing is kept. */
    private final String build;
    private final Set<Long> doubted = ConcurrentHashMap.newKeySet();

    ShelfLines(ShelfMapper mapper, LedgerMapper ledger, Store store, ObjectProvider<BuildProperties> build) {
        this.mapper = mapper;
        this.ledger = ledger;
        this.store = store;
        this.build = Optional.ofNullable(build.getIfAvailable()).map(b -> b.getTime() == null ? "" : b.getTime().toString()).orElse("");
    }

    /** A record of it was found broken somewhere before its last entry: its line does not stand. */
    void doubt(long machine) {
        doubted.add(machine);
    }

    boolean doubts(long machine) {
        return doubted.contains(machine);
    }

    /** Lines that still stand, by machine. */
    Map<Long, Summary> standing(List<BookRow> machines, Map<Long, BookRow> newest) {
        Map<Long, Summary> standing = new HashMap<>();
        if (build.isEmpty()) {
            return standing;
        }
        Map<Long, ShelfRow> rows = new HashMap<>();
        mapper.lines().forEach(row -> rows.put(row.machine(), row));
        if (rows.isEmpty()) {
            return standing;
        }
        Map<Long, String> hashes = hashes();
        for (BookRow machine : machines.stream().filter(m -> !doubts(m.getId())).toList()) {
            Optional.ofNullable(rows.get(machine.getId())).filter(row -> row.restsOn().equals(restsOn(machine, newest.get(machine.getId()), hashes)))
                    .flatMap(this::read).ifPresent(line -> standing.put(machine.getId(), line));
        }
        return standing;
    }

    /** Keeps what was made; what cannot be kept now is made again after the next start. A broken record is looked at anew every time. */
    void keep(List<BookRow> machines, Map<Long, BookRow> newest, Map<Long, Shelves.Place> made) {
        if (build.isEmpty() || machines.isEmpty()) {
            return;
        }
        Map<Long, String> hashes = hashes();
        List<ShelfRow> rows = new ArrayList<>();
        machines.forEach(machine -> made.get(machine.getId()).summary().filter(line -> line.broken().isEmpty()).ifPresent(line ->
                rows.add(new ShelfRow(machine.getId(), restsOn(machine, newest.get(machine.getId()), hashes), json.writeValueAsString(line)))));
        store.derived(rows.stream().mapToLong(row -> row.line().length()).sum(), () -> rows.forEach(mapper::keep));
    }

    private Map<Long, String> hashes() {
        Map<Long, String> hashes = new HashMap<>();
        ledger.heads().forEach(head -> hashes.put(head.book(), head.hash()));
        return hashes;
    }

    private String restsOn(BookRow machine, BookRow survey, Map<Long, String> hashes) {
        return build + " " + hashes.get(machine.getId()) + (survey == null ? "" : " " + survey.getId() + " " + hashes.get(survey.getId()));
    }

    private Optional<Summary> read(ShelfRow row) {
        try {
            return Optional.of(json.readValue(row.line(), Summary.class));
        } catch (JacksonException unreadable) {
            LOG.debug("The shelf's line of machine {} is made anew: {}", row.machine(), unreadable.getMessage());
            return Optional.empty();
        }
    }
}
