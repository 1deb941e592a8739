package tallledger.web.photos;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.drew.imaging.ImageMetadataReader;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.GpsDirectory;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tallledger.core.reason.Refused;

class PhotoFileTest {

    private static byte[] drawn(String format, int width, int height) throws IOException {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        image.setRGB(0, 0, 0xff0000);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, format, out);
        return out.toByteArray();
    }

    /** A JPEG as a tablet writes it: EXIF with orientation 6 (held upright), a maker's name, and a place on earth. */
    private static byte[] fromATablet() throws IOException {
        ByteBuffer tiff = ByteBuffer.allocate(160);
        tiff.put("MM".getBytes(StandardCharsets.US_ASCII)).putShort((short) 42).putInt(8);
        tiff.putShort((short) 3);
        tiff.putShort((short) 0x0110).putShort((short) 2).putInt(8).putInt(100);
        tiff.putShort((short) 0x0112).putShort((short) 3).putInt(1).putShort((short) 6).putShort((short) 0);
        tiff.putShort((short) 0x8825).putShort((short) 4).putInt(1).putInt(50);
        tiff.putInt(0);
        tiff.position(50);
        tiff.putShort((short) 1).putShort((short) 0x0001).putShort((short) 2).putInt(2).put("N\0\0\0".getBytes(StandardCharsets.US_ASCII))
                .putInt(0);
        tiff.position(100);
        tiff.put("Tablet7\0".getBytes(StandardCharsets.US_ASCII));
        byte[] exif = Arrays.copyOf(tiff.array(), 160);
        byte[] jpeg = drawn("jpg", 400, 300);
        ByteBuffer whole = ByteBuffer.allocate(jpeg.length + 10 + exif.length);
        whole.put(jpeg, 0, 2).put((byte) 0xff).put((byte) 0xe1).putShort((short) (8 + exif.length))
                .put("Exif\0\0".getBytes(StandardCharsets.US_ASCII)).put(exif);
        whole.put(jpeg, 2, jpeg.length - 2);
        return whole.array();
    }

    @Test
    void thePlaceIsStrippedAndThePictureStandsUpright() throws Exception {
        byte[] sent = fromATablet();
        Metadata before = ImageMetadataReader.readMetadata(new ByteArrayInputStream(sent));
        assertThat(before.getFirstDirectoryOfType(GpsDirectory.class)).as("the test's own picture has a place").isNotNull();
        PhotoFile kept = PhotoFile.of(sent, 2000);
        assertThat(kept.width()).isEqualTo(300);
        assertThat(kept.height()).isEqualTo(400);
        Metadata after = ImageMetadataReader.readMetadata(new ByteArrayInputStream(kept.whole().bytes()));
        assertThat(after.getFirstDirectoryOfType(GpsDirectory.class)).isNull();
        assertThat(after.getFirstDirectoryOfType(ExifIFD0Directory.class)).isNull();
        assertThat(new String(kept.whole().bytes(), StandardCharsets.ISO_8859_1)).doesNotContain("Tablet7", "Exif");
    }

    @Test
    void aLargePictureIsBroughtToASensibleSizeWithAThumbnail() throws IOException {
        PhotoFile kept = PhotoFile.of(drawn("png", 4000, 1000), 2000);
        assertThat(kept.width()).isEqualTo(2000);
        assertThat(kept.height()).isEqualTo(500);
        assertThat(ImageIO.read(new ByteArrayInputStream(kept.small().bytes())).getWidth()).isEqualTo(320);
        assertThat(kept.whole().sha256()).hasSize(64);
    }

    @Test
    void whatHidesBehindThePictureDoesNotComeAlong() throws IOException {
        byte[] jpeg = drawn("jpg", 40, 30);
        byte[] script = "<script>alert(1)</script>".getBytes(StandardCharsets.US_ASCII);
        byte[] both = Arrays.copyOf(jpeg, jpeg.length + script.length);
        System.arraycopy(script, 0, both, jpeg.length, script.length);
        assertThat(new String(PhotoFile.of(both, 2000).whole().bytes(), StandardCharsets.ISO_8859_1)).doesNotContain("script");
    }

    @ParameterizedTest
    @ValueSource(strings = {"bmp", "gif"})
    void otherKindsOfPictureAreRefused(String format) throws IOException {
        byte[] other = drawn(format, 10, 10);
        assertThatThrownBy(() -> PhotoFile.of(other, 2000))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("photo.type"));
    }

    @Test
    void halfAPictureIsRefused() throws IOException {
        byte[] half = Arrays.copyOf(drawn("png", 300, 300), 60);
        assertThatThrownBy(() -> PhotoFile.of(half, 2000))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("photo.broken"));
        assertThatThrownBy(() -> PhotoFile.of(new byte[0], 2000))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("photo.missing"));
    }

    /** A header that promises 30 000 × 30 000 is refused before a byte of it is decoded. */
    @Test
    void aPictureThatWouldBurstIsRefusedUnread() throws IOException {
        byte[] png = drawn("png", 10, 10);
        ByteBuffer.wrap(png).putInt(16, 30_000).putInt(20, 30_000);
        java.util.zip.CRC32 crc = new java.util.zip.CRC32();
        crc.update(png, 12, 17);
        ByteBuffer.wrap(png).putInt(29, (int) crc.getValue());
        assertThatThrownBy(() -> PhotoFile.of(png, 2000))
                .isInstanceOfSatisfying(Refused.class, r -> assertThat(r.reason().code()).isEqualTo("photo.pixels"));
    }
}
