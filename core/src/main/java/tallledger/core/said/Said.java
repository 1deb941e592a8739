package tallledger.core.said;

/**
 * One thing said.
 *
 * @param value   as said, numbers in digits, with its unit where one was said
 * @param words   the clause it stands in, letter for letter, hedge and all
 * @param subject the axis or part it is of, in lower case; empty where none is named
 */
public record Said(Topic topic, String value, String words, String subject) {
}
