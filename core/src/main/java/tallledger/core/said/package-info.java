/**
 * What people say of a machine, in running text, read to claims: measures with their unit and what they are of, counts, functions, praise,
 * admissions.
 *
 * <p>Precision before yield: a figure is taken only where its own words say what it is of. What is not certain is kept as the words, and
 * everything that is not taken is named. A sentence ends at a full stop with a blank behind it, but not in "No. 5"; commas part clauses. A
 * hedge (about, I believe, maybe) stays with the words of its claim. Acts ("I am running it now") come with films.
 */
package tallledger.core.said;
