/**
 * What is said in a film, found by rules (W 4.8): timed text to sentences with their seconds, sentences to finds, each with its words.
 * Numbers are read as people speak them. A find is an offer to a person and nothing else: nothing here becomes an entry by itself. Words of
 * one language are known, English; of another nothing is found, and that is said.
 */
package tallledger.core.spoken;
