package tallledger.web.store;

/** What lies beside the ledger is added and read, never changed. */
interface AttachmentMapper {

    int count(String sha256);

    void insert(AttachmentRow attachment);

    AttachmentRow attachment(String sha256);
}
