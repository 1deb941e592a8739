/**
 * What the machine's plate wants of the supply and what is there. Voltages in V, frequency in Hz, power in kW, current in A. Judging only:
 * wiring is a licensed electrician's work.
 */
package tallledger.core.supply;
