package tallledger.web.store;

import java.io.InputStream;
import java.util.List;
import org.apache.ibatis.annotations.Param;

/** What lies beside the ledger is added and read, never changed. */
interface AttachmentMapper {

    int count(String sha256);

    void insert(AttachmentRow attachment);

    /** One that is read as it is written. */
    void insertLarge(@Param("sha256") String sha256, @Param("type") String type, @Param("bytes") InputStream bytes);

    Long size(String sha256);

    /** To be read inside one transaction. */
    Stored stream(String sha256);

    /** The bytes of one, as a stream. */
    final class Stored {
        private InputStream bytes;

        InputStream bytes() {
            return bytes;
        }
    }

    List<AttachmentRow> attachments(@Param("hashes") List<String> hashes);

    AttachmentRow attachment(String sha256);
}
