package tallledger.web.record;

import java.util.List;

/** Lines of the shelf as they were derived: the one table that is written over. */
interface ShelfMapper {

    List<ShelfRow> lines();

    void keep(ShelfRow line);
}
