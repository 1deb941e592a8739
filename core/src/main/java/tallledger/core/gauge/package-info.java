/**
 * Gauges, their uncertainty, limits and verdicts.
 *
 * <p>Conventions: standard uncertainty u is one standard deviation in the unit of the reading; expanded U = k·u with
 * k = 2. A verdict uses the whole of U as guard band both ways (the principle of ISO 14253-1; stricter than its present
 * default, a house rule). Comparison is decimal, so a reading exactly on its limit is on it.
 */
package tallledger.core.gauge;
