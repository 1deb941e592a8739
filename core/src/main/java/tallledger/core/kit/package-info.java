/**
 * Kit and papers: what was promised with the machine, what was seen, what is missing; and whether the lift carries it. Masses in kg, money
 * in the user's own.
 */
package tallledger.core.kit;
