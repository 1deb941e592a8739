package tallledger.core.ledger;

/** Something recorded, with the entry that says so. */
public record Noted<T>(T what, int entry) {
}
