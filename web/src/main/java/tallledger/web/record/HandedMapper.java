package tallledger.web.record;

import java.util.List;

/** Surveys of elsewhere are added and read, never changed. */
interface HandedMapper {

    int count(String sha256);

    void insert(HandedRow row);

    /** Without their bytes. */
    List<HandedRow> newest(int most);

    /** The same of one. */
    HandedRow listed(String sha256);

    HandedRow handed(String sha256);
}
