/** Instruments that can be asked for a reading, simulated or at the other end of a line of text. */
package tallledger.core.instrument;
