package tallledger.web.shelfindex;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
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
import tallledger.web.store.BookKind;
import tallledger.web.store.BookRow;
import tallledger.web.store.Books;
import tallledger.web.store.Store;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What the shelf shows of each machine, in a table of its own, so that a page of a long shelf costs one query. A line counts only where it
 * rests on the books' last entries, by their hashes, and was made by this very build: at the start every line is held against them, and
 * from then on each entry written makes its machine's line stale. Losing all of them costs nothing but time.
 */
@Component
class ShelfLines {

    private static final Logger LOG = LoggerFactory.getLogger(ShelfLines.class);

    /** One machine's line as just made; without what it rests on where it is to be looked at anew after the next start. */
    record MadeLine(ShelfIndex.ShelfPlace place, String restsOn) {
    }

    private final ShelfMapper mapper;
    private final Books books;
    private final Store store;
    private final JsonMapper json = JsonMapper.builder().build();
    /** Empty where nobody knows what made this build: then no line of before stands. */
    private final String build;
    private final Set<Long> doubted = ConcurrentHashMap.newKeySet();
    private final Set<Long> stale = ConcurrentHashMap.newKeySet();
    /** Being made at this moment. */
    private final Set<Long> inHand = ConcurrentHashMap.newKeySet();
    /** What could not be kept in the table, because there is no room or nothing may be written: shown from here. */
    private final Map<Long, ShelfIndex.ShelfPlace> beside = new ConcurrentHashMap<>();
    private volatile boolean isCompared;

    ShelfLines(ShelfMapper mapper, Books books, Store store, ObjectProvider<BuildProperties> build) {
        this.mapper = mapper;
        this.books = books;
        this.store = store;
        this.build = Optional.ofNullable(build.getIfAvailable()).map(b -> b.getTime() == null ? "" : b.getTime().toString()).orElse("");
        // After a write that was undone nobody knows what was read of it.
        store.whenUndone(() -> isCompared = false);
    }

    /** A record of it was found broken somewhere before its last entry: its line does not stand. */
    void doubt(long machine) {
        doubted.add(machine);
        stale.add(machine);
    }

    /** An entry was written in its book or in that of a survey of it. */
    void grown(long machine) {
        stale.add(machine);
    }

    /** Machines whose line is to be made, at most so many; they are no longer stale unless they grow again. */
    synchronized List<Long> take(int most) {
        if (!isCompared) {
            isCompared = true;
            compare();
        }
        List<Long> some = stale.stream().sorted().limit(most).toList();
        inHand.addAll(some);
        settled(some);
        return some;
    }

    /** Every machine there is. */
    List<Long> all() {
        return books.all().stream().filter(b -> b.getKind() == BookKind.MACHINE).map(BookRow::getId).sorted().toList();
    }

    /** The lines of these are made now, while what stood there stands; they are no longer stale unless they grow again. */
    void settled(List<Long> machines) {
        machines.forEach(stale::remove);
    }

    /** They could not be made this time. */
    void givenBack(List<Long> machines) {
        stale.addAll(machines);
        machines.forEach(inHand::remove);
    }

    int waiting() {
        Set<Long> waiting = new HashSet<>(stale);
        waiting.addAll(inHand);
        return waiting.size();
    }

    /** Every machine whose line does not rest on the books as they are, or that has none. */
    private void compare() {
        Map<Long, String> hashes = books.lastHashes();
        Map<Long, String> bases = new HashMap<>();
        mapper.bases().forEach(row -> bases.put(row.machine(), row.restsOn()));
        Map<Long, Long> newest = new HashMap<>();
        List<BookRow> all = books.all();
        all.stream().filter(b -> b.getKind() == BookKind.SURVEY).forEach(b -> newest.put(b.getMachineId(), b.getId()));
        all.stream().filter(b -> b.getKind() == BookKind.MACHINE).map(BookRow::getId).filter(id -> build.isEmpty() || doubted.contains(id)
                || !restsOn(hashes.get(id), newest.get(id), hashes.get(newest.get(id))).equals(bases.get(id))).forEach(stale::add);
    }

    /** @param survey newest of the machine, null where it has none */
    String restsOn(String machineHash, Long survey, String surveyHash) {
        return build + " " + machineHash + (survey == null ? "" : " " + survey + " " + surveyHash);
    }

    /** Keeps what was made. */
    void keep(List<MadeLine> made) {
        List<MadeLine> lines = made.stream().filter(m -> m.place.summary().isPresent()).toList();
        made.forEach(m -> beside.put(m.place.book(), m.place));
        List<Runnable> writes = new ArrayList<>();
        for (MadeLine m : lines) {
            Summary line = m.place.summary().orElseThrow();
            ShelfRow row = new ShelfRow(line.machine(), line.broken().isPresent() ? "" : m.restsOn, json.writeValueAsString(line));
            writes.add(() -> {
                mapper.keep(row, line, ShelfRow.Sorted.of(line));
                mapper.show(row);
            });
        }
        if (store.derived(lines.size() * 2_000L, () -> writes.forEach(Runnable::run))) {
            lines.forEach(m -> beside.remove(m.place.book()));
        }
        made.forEach(m -> inHand.remove(m.place.book()));
    }

    /** One page, and how many there are; what could not be kept is shown where its last line stood, or before all where it had none. */
    ShelfIndex.ShelfPage page(ShelfQuery query, int waiting) {
        int found = mapper.count(ShelfRow.ShelfFilter.of(query));
        int pages = Math.max(1, (found + ShelfQuery.A_PAGE - 1) / ShelfQuery.A_PAGE);
        ShelfQuery here = query.at(Math.min(query.page(), pages));
        List<Summary> lines = new ArrayList<>();
        Map<Long, ShelfIndex.ShelfPlace> shown = new HashMap<>(beside);
        List<Long> machines = mapper.page(ShelfRow.ShelfFilter.of(here));
        Map<Long, ShelfRow> rows = new HashMap<>();
        if (!machines.isEmpty()) {
            mapper.shown(machines).forEach(row -> rows.put(row.machine(), row));
        }
        for (Long id : machines) {
            Optional.ofNullable(shown.remove(id)).map(ShelfIndex.ShelfPlace::summary).orElseGet(() -> read(id, rows.get(id)))
                    .ifPresent(lines::add);
        }
        List<ShelfIndex.ShelfPlace> unreadable = shown.values().stream().filter(p -> p.unreadable().isPresent()).toList();
        if (here.page() == 1) {
            shown.values().stream().flatMap(p -> p.summary().stream()).filter(line -> line.away() == here.away())
                    .forEach(line -> lines.add(0, line));
        }
        return new ShelfIndex.ShelfPage(List.copyOf(lines), found, here.page(), pages, waiting > 0 ? books.machines()
                : mapper.all()
                        + beside.size(),
                unreadable, waiting);
    }

    private Optional<Summary> read(long machine, ShelfRow row) {
        try {
            return Optional.of(json.readValue(row == null ? "" : row.line(), Summary.class));
        } catch (JacksonException unreadable) {
            LOG.debug("The shelf's line of machine {} is made anew: {}", machine, unreadable.getMessage());
            stale.add(machine);
            return Optional.empty();
        }
    }
}
