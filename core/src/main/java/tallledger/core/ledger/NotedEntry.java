package tallledger.core.ledger;

/** Something recorded, with the entry that says so. */
public record NotedEntry<T>(T what, int entry) {
}
