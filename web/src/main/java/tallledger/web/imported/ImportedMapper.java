package tallledger.web.imported;

import java.util.List;

/** Surveys of elsewhere are added and read, never changed. */
interface ImportedMapper {

    int count(String sha256);

    void insert(ImportedRow row);

    /** Without their bytes. */
    List<ImportedRow> newest(int most);

    /** The same of one. */
    ImportedRow listed(String sha256);

    ImportedRow handed(String sha256);
}
