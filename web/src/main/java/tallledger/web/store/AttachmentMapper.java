package tallledger.web.store;

import java.util.List;
import org.apache.ibatis.annotations.Param;

/** What lies beside the ledger is added and read, never changed. */
interface AttachmentMapper {

    int count(String sha256);

    void insert(AttachmentRow attachment);

    List<AttachmentRow> attachments(@Param("hashes") List<String> hashes);

    AttachmentRow attachment(String sha256);
}
