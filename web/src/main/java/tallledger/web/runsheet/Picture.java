package tallledger.web.runsheet;

/**
 * A result drawn.
 *
 * @param template whose fragment {@code picture(view)} draws it as SVG
 * @param view     what it draws
 * @param title    of the step, in words
 * @param entry    it rests on
 */
public record Picture(String template, Object view, String title, int entry) {
}
