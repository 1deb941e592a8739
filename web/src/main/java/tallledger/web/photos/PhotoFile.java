package tallledger.web.photos;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.MetadataException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import javax.imageio.IIOImage;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.ImageWriteParam;
import javax.imageio.ImageWriter;
import javax.imageio.stream.ImageInputStream;
import javax.imageio.stream.ImageOutputStream;
import tallledger.core.reason.Refused;
import tallledger.web.store.AttachmentRow;
import tallledger.web.words.WebReason;

/**
 * A photograph made afresh: decoded by its true type, turned upright, brought to a sensible size and written anew, so that no
 * place, camera or owner, nor anything hidden behind the picture, comes along.
 *
 * @param row    as it is kept
 * @param width  px
 * @param height px
 */
record PhotoFile(AttachmentRow whole, AttachmentRow small, int width, int height) {

    /** The most that is taken, bytes; the form and the server's own limit say the same. */
    static final long MOST_BYTES = 15L * 1024 * 1024;
    private static final long MOST_PIXELS = 60_000_000;
    /** The most one decoded picture may take in memory, bytes. */
    private static final long MOST_DECODED = 160L * 1024 * 1024;
    private static final int SMALL_SIDE = 320;
    private static final float QUALITY = 0.88f;

    static {
        ImageIO.setUseCache(false);
    }

    /**
     * @param longest side of it as it is kept, px (house rule)
     * @throws Refused for what is no JPEG or PNG whatever it is called, too large, or broken
     */
    static PhotoFile of(byte[] sent, int longest) {
        if (sent.length == 0) {
            throw Refused.because(WebReason.PHOTO_MISSING);
        }
        if (sent.length > MOST_BYTES) {
            throw Refused.because(WebReason.PHOTO_LARGE, sent.length / 1024 / 1024, MOST_BYTES / 1024 / 1024);
        }
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(sent))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            ImageReader reader = readers.hasNext() ? readers.next() : null;
            String format = reader == null ? "" : reader.getFormatName().toLowerCase(java.util.Locale.ROOT);
            if (!format.equals("jpeg") && !format.equals("png")) {
                throw Refused.because(WebReason.PHOTO_TYPE);
            }
            reader.setInput(in, true, true);
            if ((long) reader.getWidth(0) * reader.getHeight(0) > MOST_PIXELS) {
                throw Refused.because(WebReason.PHOTO_PIXELS, reader.getWidth(0), reader.getHeight(0), MOST_PIXELS / 1_000_000);
            }
            BufferedImage upright = upright(read(reader, longest), format.equals("jpeg") ? orientation(sent) : 1);
            return written(upright, format.equals("png") && upright.getColorModel().hasAlpha(), longest);
        } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException broken) {
            if (broken instanceof Refused refused) {
                throw refused;
            }
            throw Refused.because(WebReason.PHOTO_BROKEN);
        }
    }

    /** Decoded no finer than is kept: of a large picture only every so many-th pixel is ever in memory. */
    private static BufferedImage read(ImageReader reader, int longest) throws IOException {
        int width = reader.getWidth(0);
        int height = reader.getHeight(0);
        int every = Math.max(1, Math.max(width, height) / (2 * longest));
        int bytes = Math.max(1, reader.getRawImageType(0) == null ? 4 : reader.getRawImageType(0).getColorModel().getPixelSize() / 8);
        while ((long) (width / every + 1) * (height / every + 1) * Math.max(bytes, 4) > MOST_DECODED) {
            every++;
        }
        ImageReadParam how = reader.getDefaultReadParam();
        how.setSourceSubsampling(every, every, 0, 0);
        return reader.read(0, how);
    }

    private static PhotoFile written(BufferedImage image, boolean png, int longest) throws IOException {
        BufferedImage kept = sized(image, longest, png);
        byte[] bytes = png ? png(kept) : jpeg(kept);
        byte[] small = jpeg(sized(image, SMALL_SIDE, false));
        return new PhotoFile(AttachmentRow.of(png ? "image/png" : "image/jpeg", bytes), AttachmentRow.of("image/jpeg", small),
                kept.getWidth(), kept.getHeight());
    }

    /** EXIF orientation, 1 to 8; 1 where there is none. */
    private static int orientation(byte[] sent) {
        try {
            ExifIFD0Directory exif = ImageMetadataReader.readMetadata(new ByteArrayInputStream(sent))
                    .getFirstDirectoryOfType(ExifIFD0Directory.class);
            return exif != null && exif.containsTag(ExifIFD0Directory.TAG_ORIENTATION) ? exif.getInt(ExifIFD0Directory.TAG_ORIENTATION) : 1;
        } catch (ImageProcessingException | MetadataException | IOException unread) {
            return 1;
        }
    }

    private static BufferedImage upright(BufferedImage image, int orientation) {
        int w = image.getWidth();
        int h = image.getHeight();
        AffineTransform turn = switch (orientation) {
            case 2 -> new AffineTransform(-1, 0, 0, 1, w, 0);
            case 3 -> new AffineTransform(-1, 0, 0, -1, w, h);
            case 4 -> new AffineTransform(1, 0, 0, -1, 0, h);
            case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
            case 6 -> new AffineTransform(0, 1, -1, 0, h, 0);
            case 7 -> new AffineTransform(0, -1, -1, 0, h, w);
            case 8 -> new AffineTransform(0, -1, 1, 0, 0, w);
            default -> new AffineTransform();
        };
        if (turn.isIdentity()) {
            return image;
        }
        BufferedImage turned = new BufferedImage(orientation > 4 ? h : w, orientation > 4 ? w : h, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = turned.createGraphics();
        g.drawImage(image, turn, null);
        g.dispose();
        return turned;
    }

    private static BufferedImage sized(BufferedImage image, int longest, boolean alpha) {
        double share = Math.min(1, (double) longest / Math.max(image.getWidth(), image.getHeight()));
        int w = Math.max(1, (int) Math.round(image.getWidth() * share));
        int h = Math.max(1, (int) Math.round(image.getHeight() * share));
        BufferedImage sized = new BufferedImage(w, h, alpha ? BufferedImage.TYPE_INT_ARGB : BufferedImage.TYPE_INT_RGB);
        Graphics2D g = sized.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
        if (!alpha) {
            g.setColor(java.awt.Color.WHITE);
            g.fillRect(0, 0, w, h);
        }
        g.drawImage(image, 0, 0, w, h, null);
        g.dispose();
        return sized;
    }

    private static byte[] png(BufferedImage image) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "png", out);
        return out.toByteArray();
    }

    private static byte[] jpeg(BufferedImage image) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageWriter writer = ImageIO.getImageWritersByFormatName("jpeg").next();
        try (ImageOutputStream stream = ImageIO.createImageOutputStream(out)) {
            ImageWriteParam how = writer.getDefaultWriteParam();
            how.setCompressionMode(ImageWriteParam.MODE_EXPLICIT);
            how.setCompressionQuality(QUALITY);
            writer.setOutput(stream);
            writer.write(null, new IIOImage(image, null, null), how);
        } finally {
            writer.dispose();
        }
        return out.toByteArray();
    }
}
