package tallledger.web.shelfindex;

import java.util.List;
import org.apache.ibatis.annotations.Param;

/** Lines of the shelf as they were derived: the one table that is written over. */
interface ShelfMapper {

    /** What each line rests on. */
    List<ShelfRow> bases();

    void keep(@Param("row") ShelfRow row, @Param("line") Summary line, @Param("sorted") ShelfRow.Sorted sorted);

    void show(ShelfRow row);

    /** Machines of one page, in its order. */
    List<Long> page(@Param("what") ShelfRow.ShelfFilter what);

    List<ShelfRow> shown(@Param("machines") List<Long> machines);

    int count(@Param("what") ShelfRow.ShelfFilter what);

    int all();
}
