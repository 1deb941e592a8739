package tallledger.web.pictures;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * A text as a QR code (ISO/IEC 18004), to be drawn as one path: what a telephone reads from the paper is held against what was told by
 * another way.
 *
 * @param path squares, one unit each
 * @param size width and height with the quiet zone, units
 * @param text what it says
 */
public record QrCode(String path, int size, String text) {

    /** Free of squares on each side, units, by the standard. */
    private static final int QUIET = 4;

    public static QrCode of(String text) {
        BitMatrix squares = squares(text);
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < squares.getHeight(); y++) {
            for (int x = 0; x < squares.getWidth(); x++) {
                int from = x;
                while (x < squares.getWidth() && squares.get(x, y)) {
                    x++;
                }
                if (x > from) {
                    path.append('M').append(from).append(' ').append(y).append('h').append(x - from).append("v1h-").append(x - from)
                            .append('z');
                }
            }
        }
        return new QrCode(path.toString(), squares.getWidth(), text);
    }

    /** The same in letters, two rows of squares a line, for a terminal that writes black on white. */
    public static List<String> blocks(String text) {
        BitMatrix squares = squares(text);
        List<String> lines = new ArrayList<>();
        for (int y = 0; y < squares.getHeight(); y += 2) {
            StringBuilder line = new StringBuilder();
            for (int x = 0; x < squares.getWidth(); x++) {
                boolean upper = squares.get(x, y);
                boolean lower = y + 1 < squares.getHeight() && squares.get(x, y + 1);
                line.append(upper ? lower ? '\u2588' : '\u2580' : lower ? '\u2584' : ' ');
            }
            lines.add(line.toString());
        }
        return lines;
    }

    private static BitMatrix squares(String text) {
        try {
            return new QRCodeWriter().encode(text, BarcodeFormat.QR_CODE, 0, 0,
                    Map.of(EncodeHintType.MARGIN, QUIET, EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.M));
        } catch (WriterException e) {
            throw new IllegalStateException("a fingerprint, a hash and an address fit any QR code", e);
        }
    }
}
