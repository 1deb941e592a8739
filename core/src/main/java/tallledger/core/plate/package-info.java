/**
 * The speed or feed plate on the machine, and whether it makes sense.
 *
 * <p>A plate is a table of lever positions: each cell holds the value as typed, "cannot be read", or "no such combination".
 * Checks reckon in natural logarithms, since levers multiply. A remark never changes the plate: a correction is an entry of
 * its own and the plate's own reading is kept.
 */
package tallledger.core.plate;
