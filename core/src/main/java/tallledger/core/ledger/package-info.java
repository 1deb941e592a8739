/**
 * The record: entries that are only ever added, chained by their hashes.
 *
 * <p>An entry's hash is the SHA-256 (lower-case hex) of its canonical JSON (RFC 8785) with the previous entry's hash inside;
 * the first has 64 zeros there. Numbers a person typed are stored as the text they typed, so the only JSON numbers are
 * whole ones. A correction is a new entry that names the one it strikes; the struck one stays readable.
 */
package tallledger.core.ledger;
