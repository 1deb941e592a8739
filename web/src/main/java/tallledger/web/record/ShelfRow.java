package tallledger.web.record;

/** A line of the shelf, with the entries and the build it rests on. */
public record ShelfRow(Long machine, String restsOn, String line) {
}
