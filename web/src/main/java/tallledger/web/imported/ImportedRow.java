package tallledger.web.imported;

/**
 * A row of {@code handed}: a survey of elsewhere.
 *
 * @param bytes the zip; null in a list
 */
public record ImportedRow(String sha256, String title, String keptAt, String keptBy, byte[] bytes) {
}
