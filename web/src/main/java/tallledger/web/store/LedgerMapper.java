package tallledger.web.store;

import java.util.List;
import org.apache.ibatis.annotations.Param;

/** Reads and appends; there is no update and no delete, and there must never be one. */
interface LedgerMapper {

    void insertBook(BookRow book);

    void insertEntry(EntryRow entry);

    BookRow book(long id);

    List<BookRow> books();

    /** How many machines there are. */
    int machines();

    List<BookRow> booksOfMachine(long machineId);

    List<BookRow> booksOfMachines(@Param("machines") List<Long> machines);

    List<EntryRow> entries(@Param("bookId") long bookId, @Param("after") int after);

    List<EntryRow> some(@Param("bookId") long bookId, @Param("after") int after, @Param("most") int most);

    List<EntryRow> entriesOf(@Param("bookIds") List<Long> bookIds);

    EntryRow bySubmission(@Param("bookId") long bookId, @Param("submission") String submission);

    /** @param device what the keys of its own forms begin with */
    int writtenByOthers(@Param("bookId") long bookId, @Param("step") String step, @Param("after") int after,
            @Param("device") String device);

    Long bookOpenedBy(String key);

    List<HeadRow> heads();

    String hash(@Param("bookId") long bookId, @Param("sequence") int sequence);
}
