/**
 * Every judgement number of the house with its unit, in versions. Whoever judges is given {@link tallledger.core.rules.Rules} as an
 * argument: nothing static judges. Its words and its source are in the catalogue of words under {@code rule.<name>}.
 */
package tallledger.core.rules;
