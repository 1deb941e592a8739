package tallledger.web.drawings;

/**
 * One drawing of a survey.
 *
 * @param name     in addresses and in the zip: letters, figures, strokes
 * @param title    in words
 * @param template whose fragment {@code picture(view)} draws it as SVG
 * @param view     what it draws
 * @param entry    it rests on; nought where it rests on many
 */
public record ExportedDrawing(String name, String title, String template, Object view, int entry) {
}
