package tallledger.web.photos;

import java.util.List;
import java.util.Locale;
import tallledger.core.ledger.NotedEntry;
import tallledger.core.survey.Photo;
import tallledger.core.survey.PictureMark;

/**
 * What is drawn over a photograph, in its pixels.
 *
 * @param entry that says so
 * @param path  an arrow's shaft with its head; empty for others
 * @param ring  centre and half axes of a ring; empty for others
 * @param x     where its word begins
 * @param y     its word's base line
 */
public record MarkView(PictureMark of, int entry, String path, List<Double> ring, double x, double y) {

    private static final double WHOLE = 1000;
    /** Of the longer side: an arrow's head, and how high words are. */
    private static final double HEAD = 0.035;
    private static final double WORD = 0.035;
    private static final double SPREAD = 0.45;

    public static List<MarkView> of(Photo photo) {
        return photo.marks().stream().map(m -> of(m, photo.width(), photo.height())).toList();
    }

    /** How high its words are, px. */
    public static double wordHeight(Photo photo) {
        return WORD * Math.max(photo.width(), photo.height());
    }

    private static MarkView of(NotedEntry<PictureMark> noted, int width, int height) {
        PictureMark mark = noted.what();
        double x1 = mark.fromX() / WHOLE * width;
        double y1 = mark.fromY() / WHOLE * height;
        double x2 = mark.toX() / WHOLE * width;
        double y2 = mark.toY() / WHOLE * height;
        double word = WORD * Math.max(width, height);
        return switch (mark.shape()) {
            case ARROW -> new MarkView(mark, noted.entry(), arrow(x1, y1, x2, y2, HEAD * Math.max(width, height)), List.of(),
                    Math.min(x1, width - word), y1 < y2 ? y1 - word / 3 : y1 + word);
            case RING -> new MarkView(mark, noted.entry(), "", List.of((x1 + x2) / 2, (y1 + y2) / 2, Math.abs(x2 - x1) / 2,
                    Math.abs(y2 - y1) / 2), Math.min(x1, x2), Math.max(y1, y2) + word);
            case WORD -> new MarkView(mark, noted.entry(), "", List.of(), x1, y1);
        };
    }

    private static String arrow(double x1, double y1, double x2, double y2, double head) {
        double to = Math.atan2(y2 - y1, x2 - x1);
        return String.format(Locale.ROOT, "M%.1f %.1fL%.1f %.1fM%.1f %.1fL%.1f %.1fL%.1f %.1f", x1, y1, x2, y2,
                x2 - head * Math.cos(to - SPREAD), y2 - head * Math.sin(to - SPREAD), x2, y2,
                x2 - head * Math.cos(to + SPREAD), y2 - head * Math.sin(to + SPREAD));
    }
}
