/**
 * What makes a closed survey a record both sides can trust: the seal over its last hash and over every file it is handed over with, and
 * the check that says what was changed and where. A seal proves that nothing changed since closing; who closed it is only as sure as the
 * key's fingerprint.
 */
package tallledger.core.seal;
