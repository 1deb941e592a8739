/**
 * Cycles: what the machine should do, in what order, how often and how long; and what it did.
 *
 * <p>A script's events are named by short codes ("guard-closed"), a person's own by what they typed. Times are seconds from
 * the first tap. A window counts from the event before it. What must never happen is named with the script; where it can hurt
 * somebody it is a hazard.
 */
package tallledger.core.cycle;
