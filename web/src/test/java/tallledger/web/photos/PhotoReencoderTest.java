package tallledger.web.photos;

import static org.assertj.core.api.Assertions.assertThat;

import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.File;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.springframework.web.multipart.MultipartFile;

/** Many at once, each of very many pixels: one after the other, in little memory. */
class PhotoReencoderTest {

    private static final int AT_ONCE = 8;

    /** A photograph as it was sent, that says how many are being looked at when it is. */
    private record Sent(byte[] bytes, AtomicInteger inside, AtomicInteger most) implements MultipartFile {
        @Override
        public byte[] getBytes() throws IOException {
            most.accumulateAndGet(inside.incrementAndGet(), Math::max);
            try {
                Thread.sleep(30);
            } catch (InterruptedException e) {
                throw new IOException(e);
            } finally {
                inside.decrementAndGet();
            }
            return bytes;
        }

        @Override
        public String getName() {
            return "photo";
        }

        @Override
        public String getOriginalFilename() {
            return "photo.png";
        }

        @Override
        public String getContentType() {
            return "image/png";
        }

        @Override
        public boolean isEmpty() {
            return false;
        }

        @Override
        public long getSize() {
            return bytes.length;
        }

        @Override
        public InputStream getInputStream() throws IOException {
            return InputStream.nullInputStream();
        }

        @Override
        public void transferTo(File destination) throws IOException {
            throw new IOException("not asked for");
        }
    }

    private static int atOnce(byte[] picture) throws Exception {
        PhotoReencoder darkroom = new PhotoReencoder();
        AtomicInteger inside = new AtomicInteger();
        AtomicInteger most = new AtomicInteger();
        ExecutorService many = Executors.newFixedThreadPool(AT_ONCE);
        try {
            List<Callable<PhotoFile>> tasks = new ArrayList<>();
            for (int i = 0; i < AT_ONCE; i++) {
                tasks.add(() -> darkroom.develop(Optional.of(new Sent(picture, inside, most)), 2000));
            }
            for (Future<PhotoFile> done : many.invokeAll(tasks)) {
                assertThat(done.get().whole().bytes()).isNotEmpty();
            }
        } finally {
            many.shutdownNow();
        }
        return most.get();
    }

    private static byte[] black(int width, int height) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_BYTE_GRAY), "png", out);
        return out.toByteArray();
    }

    @Test
    void oneIsDevelopedAtATime() throws Exception {
        assertThat(atOnce(black(300, 200))).isEqualTo(1);
    }

    /** Eight of 59 million pixels in a process of 256 MB. */
    @Test
    void eightOfManyPixelsFitIntoLittleMemory() throws Exception {
        Path log = Files.createTempFile("darkroom", ".txt");
        Process process = new ProcessBuilder(System.getProperty("java.home") + "/bin/java", "-Xmx256m", "-cp",
                System.getProperty("java.class.path"), Huge.class.getName())
                .redirectErrorStream(true).redirectOutput(log.toFile()).start();
        assertThat(process.waitFor(90, TimeUnit.SECONDS)).isTrue();
        assertThat(process.exitValue()).as(Files.readString(log)).isZero();
    }

    /** The eight, in a process of their own. */
    public static final class Huge {
        private Huge() {
        }

        public static void main(String[] args) throws Exception {
            atOnce(black(7_700, 7_700));
        }
    }
}
