package tallledger.core.survey;

import tallledger.core.family.Part;

/**
 * A repair that was not struck.
 *
 * @param entry its entry
 * @param author who wrote it
 */
public record Repair(int entry, String author, Part part, String what) {
}
