package tallledger.web.sound;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import tallledger.core.reason.Reason;
import tallledger.core.sound.ShortTime;
import tallledger.web.words.Words;

/**
 * A recording piece by piece: a picture with its scales.
 *
 * @param label   what it shows
 * @param across  marks of time, by their place
 * @param up      marks of frequency, by their place
 * @param says    whether it stayed even
 */
public record PiecesView(String label, List<Mark> across, List<Mark> up, Optional<Reason> says) {

    static final int LEFT = 58;
    static final int TOP = 8;
    static final int WIDTH = 872;
    static final int HEIGHT = 200;
    private static final int FIRST_HERTZ = 30;
    private static final int[] HERTZ = {50, 100, 200, 500, 1000, 2000, 5000};
    private static final double SHOWN = 70;
    private static final int WHITE = 255;
    private static final int MOST_MARKS = 7;

    /** A mark of a scale. @param at its place, px @param value in the scale's unit */
    public record Mark(double at, BigDecimal value) {
    }

    static PiecesView of(ShortTime pieces, Words words) {
        double seconds = pieces.seconds() * pieces.columns().length;
        int step = (int) Math.max(1, Math.ceil(seconds / MOST_MARKS));
        List<Mark> across = new ArrayList<>();
        for (int s = 0; s <= seconds; s += step) {
            across.add(new Mark(LEFT + WIDTH * s / seconds, BigDecimal.valueOf(s)));
        }
        int until = highest(pieces);
        List<Mark> up = new ArrayList<>();
        for (int hertz : HERTZ) {
            if (hertz <= until) {
                up.add(new Mark(TOP + HEIGHT * (1 - Math.log(hertz / (double) FIRST_HERTZ) / Math.log(until / (double) FIRST_HERTZ)),
                        BigDecimal.valueOf(hertz)));
            }
        }
        String label =
                words.say("sound.picture", BigDecimal.valueOf(seconds).setScale(1, RoundingMode.HALF_UP), BigDecimal.valueOf(FIRST_HERTZ),
                        BigDecimal.valueOf(until));
        return new PiecesView(label, List.copyOf(across),
                List.copyOf(up), pieces.says());
    }

    private static int highest(ShortTime pieces) {
        return (int) Math.round(pieces.binHertz() * (pieces.columns()[0].length - 1));
    }

    /** As a PNG, a column of it a pixel wide; its loudest is black, what lies 70 dB under it white. */
    static byte[] png(ShortTime pieces) {
        byte[][] columns = pieces.columns();
        BufferedImage picture = new BufferedImage(columns.length, HEIGHT, BufferedImage.TYPE_BYTE_GRAY);
        int loudest = Byte.MIN_VALUE;
        for (byte[] column : columns) {
            for (byte level : column) {
                loudest = Math.max(loudest, level);
            }
        }
        double most = highest(pieces);
        for (int y = 0; y < HEIGHT; y++) {
            double low = FIRST_HERTZ * Math.pow(most / FIRST_HERTZ, 1 - (y + 1.0) / HEIGHT);
            double high = FIRST_HERTZ * Math.pow(most / FIRST_HERTZ, 1 - y / (double) HEIGHT);
            int first = (int) Math.round(low / pieces.binHertz());
            int last = Math.min(columns[0].length - 1, Math.max(first, (int) Math.round(high / pieces.binHertz())));
            for (int x = 0; x < columns.length; x++) {
                int level = Byte.MIN_VALUE;
                for (int k = first; k <= last; k++) {
                    level = Math.max(level, columns[x][k]);
                }
                int grey = (int) Math.round(WHITE * Math.max(0, Math.min(1, (loudest - level) / SHOWN)));
                picture.getRaster().setSample(x, y, 0, grey);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(picture, "png", out);
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return out.toByteArray();
    }
}
