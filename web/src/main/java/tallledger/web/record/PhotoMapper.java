package tallledger.web.record;

/** Photographs are added and read, never changed. */
interface PhotoMapper {

    int count(String sha256);

    void insert(PhotoRow photo);

    PhotoRow photo(String sha256);
}
