/**
 * What to do next: which runs and steps, in which order, in the minutes there are, and what looking is worth.
 *
 * <p>Seconds are the house's times; worth is money in the survey's currency, or shares where nobody stated prices.
 */
package tallledger.core.plan;
