/**
 * A survey: its entries, folded into what the screens show.
 *
 * <p>An entry's kind is one of {@link tallledger.core.survey.Kind}; struck entries fold to nothing but stay listed. The latest
 * run of a route counts. All times are UTC instants; the clock is always handed in.
 */
package tallledger.core.survey;
