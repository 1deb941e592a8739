package tallledger.core.survey;

import tallledger.core.family.MachinePart;

/**
 * A repair that was not struck.
 *
 * @param entry its entry
 * @param author who wrote it
 */
public record RecordedRepair(int entry, String author, MachinePart part, String what) {
}
