package tallledger.web;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.h2.store.fs.FileBase;
import org.h2.store.fs.FilePath;
import org.h2.store.fs.FilePathWrapper;

/**
 * A disk under the store that loses at a power cut whatever was not forced: every write goes to the file at once, as the operating
 * system shows it, and to a second file "as on the device" only when it is forced. It can also be full.
 */
public final class PowerCut extends FilePathWrapper {

    static final String SCHEME = "powercut";
    static final AtomicInteger FORCED = new AtomicInteger();
    private static volatile boolean full;

    private record Write(long at, byte[] bytes) {
    }

    static void register() {
        FilePath.register(new PowerCut());
    }

    static void fill(boolean isFull) {
        full = isFull;
    }

    /** What would be left of a file after a power cut now. */
    static Path onDevice(Path file) {
        return file.resolveSibling(file.getFileName() + ".device");
    }

    @Override
    public String getScheme() {
        return SCHEME;
    }

    @Override
    public FileChannel open(String mode) throws IOException {
        return new Disk(getBase().open(mode), onDevice(Path.of(getBase().toString())), mode.equals("r"));
    }

    private static final class Disk extends FileBase {
        private final FileChannel shown;
        private final Path device;
        private final boolean readOnly;
        private final List<Write> pending = new ArrayList<>();

        Disk(FileChannel shown, Path device, boolean readOnly) {
            this.shown = shown;
            this.device = device;
            this.readOnly = readOnly;
        }

        @Override
        public synchronized int write(ByteBuffer src, long position) throws IOException {
            if (full) {
                throw new IOException("No space left on device");
            }
            byte[] bytes = new byte[src.remaining()];
            src.duplicate().get(bytes);
            pending.add(new Write(position, bytes));
            return shown.write(src, position);
        }

        @Override
        public int write(ByteBuffer src) throws IOException {
            int written = write(src, shown.position());
            shown.position(shown.position() + written);
            return written;
        }

        @Override
        public synchronized void force(boolean metaData) throws IOException {
            FORCED.incrementAndGet();
            shown.force(metaData);
            try (FileChannel out = FileChannel.open(device, StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
                for (Write write : pending) {
                    out.write(ByteBuffer.wrap(write.bytes), write.at);
                }
                if (out.size() > shown.size()) {
                    out.truncate(shown.size());
                }
            }
            pending.clear();
        }

        @Override
        public int read(ByteBuffer dst) throws IOException {
            return shown.read(dst);
        }

        @Override
        public int read(ByteBuffer dst, long position) throws IOException {
            return shown.read(dst, position);
        }

        @Override
        public long position() throws IOException {
            return shown.position();
        }

        @Override
        public FileChannel position(long position) throws IOException {
            shown.position(position);
            return this;
        }

        @Override
        public long size() throws IOException {
            return shown.size();
        }

        @Override
        public synchronized FileChannel truncate(long size) throws IOException {
            shown.truncate(size);
            return this;
        }

        @Override
        public FileLock tryLock(long position, long size, boolean shared) throws IOException {
            return shown.tryLock(position, size, shared);
        }

        @Override
        protected void implCloseChannel() throws IOException {
            if (!readOnly && Files.exists(device) && shown.isOpen() && !full) {
                force(true);
            }
            shown.close();
        }
    }
}
