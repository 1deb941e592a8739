/**
 * What the evidence comes to: claims against evidence, findings by severity, and the condition statement, each sentence tied
 * to the entries it rests on. Adjectives follow rules: "quiet" needs an entry that says so.
 */
package tallledger.core.verdict;
