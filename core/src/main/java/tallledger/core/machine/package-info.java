/**
 * The description of a machine: identity, claims with their source and exact wording, drive and plate. Versioned in a ledger of
 * its own; a survey names the version it judges by. Text is kept as typed; lengths are read in the machine's own unit.
 */
package tallledger.core.machine;
