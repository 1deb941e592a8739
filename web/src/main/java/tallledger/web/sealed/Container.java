package tallledger.web.sealed;

import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.channels.FileChannel;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.zip.CRC32;
import java.util.zip.Inflater;
import java.util.zip.InflaterInputStream;
import tallledger.core.seal.Found;
import tallledger.core.seal.Found.What;

/**
 * A zip as {@link ArchiveWriter} writes one and no other: its files one after another from the first byte, its directory behind them,
 * its end
 * record last, what stands before each file the same as in the directory, plain files only. Other readers of zips pass over what lies
 * between and behind, so that two programs can see two surveys in one file; here it is a finding. {@code verify.js} reads by the same
 * rules (layout by the published ZIP specification, ISO/IEC 21320-1 without its ZIP64).
 */
final class Container implements Closeable {

    static final int MOST_FILES = 5_000;
    static final long MOST_BYTES = 700_000_000;
    /** A directory of the most files with the longest names is smaller. */
    private static final long LARGEST_DIRECTORY = 2_000_000;
    private static final int LONGEST_NAME = 200;
    private static final int MOST_NAMES_SAID = 20;
    private static final int END = 22;
    private static final int END_SIGN = 0x06054b50;
    private static final int CENTRAL = 46;
    private static final int CENTRAL_SIGN = 0x02014b50;
    private static final int LOCAL = 30;
    private static final int LOCAL_SIGN = 0x04034b50;
    private static final int BEHIND = 16;
    private static final int BEHIND_SIGN = 0x08074b50;
    /** An end record with the longest comment, and a little. */
    private static final int TAIL = 66_000;
    private static final int SIZES_BEHIND = 0x0008;
    private static final int NAMES_IN_UTF8 = 0x0800;
    private static final int STORED = 0;
    private static final int DEFLATED = 8;
    private static final int FOLDER_OR_LABEL = 0x18;
    private static final int KIND_OF_FILE = 0xf000;
    private static final int PLAIN_FILE = 0x8000;
    private static final long OF_ZIP64 = 0xffffffffL;
    /** What climbs out of the folder it is unpacked in, and signs that show another name than there is. */
    private static final Pattern UNSAFE_SIGN = Pattern.compile("[\\x00-\\x1f\\x7f-\\x9f\\u200e\\u200f\\u2028-\\u202e\\u2066-\\u2069]");
    private static final Pattern UNSAFE = Pattern.compile("^/|^[A-Za-z]:|\\\\|(^|/)\\.\\.(/|$)|" + UNSAFE_SIGN);

    /**
     * One file in it.
     *
     * @param at     where its header stands
     * @param packed bytes it takes there
     * @param size   bytes it unpacks to
     */
    private record ZipPart(byte[] name, int flags, int method, int time, int crc, long packed, long size, long at) {

        boolean isSaidBehind() {
            return (flags & SIZES_BEHIND) != 0;
        }

        long begins() {
            return at + LOCAL + name.length;
        }
    }

    private final FileChannel channel;
    private final List<Found> found = new ArrayList<>();
    private final Map<String, ZipPart> files = new LinkedHashMap<>();
    private boolean isWhole;

    private Container(FileChannel channel) {
        this.channel = channel;
    }

    /**
     * Reads its directory and what stands before and behind each file.
     *
     * @throws IOException where it cannot be read from the disk
     */
    static Container open(Path zip) throws IOException {
        Container container = new Container(FileChannel.open(zip));
        try {
            container.isWhole = container.read();
            return container;
        } catch (IOException | RuntimeException unread) {
            container.close();
            throw unread;
        }
    }

    /** Whether it is put together as it should be; a name twice or an unsafe one leaves out that file only. */
    boolean isWhole() {
        return isWhole;
    }

    List<Found> found() {
        return found;
    }

    Set<String> names() {
        return files.keySet();
    }

    /** Bytes a file says that it unpacks to. */
    long size(String name) {
        return files.get(name).size;
    }

    /** @throws IOException where there is no such file */
    InputStream in(String name) throws IOException {
        ZipPart part = files.get(name);
        if (part == null) {
            throw new IOException("no " + name);
        }
        return new ZipContent(part);
    }

    @Override
    public void close() throws IOException {
        channel.close();
    }

    private boolean wrong(What what, String where) {
        found.add(new Found(what, where));
        return false;
    }

    private ByteBuffer bytes(long from, int count) throws IOException {
        ByteBuffer bytes = ByteBuffer.allocate(count).order(ByteOrder.LITTLE_ENDIAN);
        while (bytes.hasRemaining() && channel.read(bytes, from + bytes.position()) > 0) {
            continue;
        }
        return bytes.flip();
    }

    private static int two(ByteBuffer bytes, int at) {
        return bytes.getShort(at) & 0xffff;
    }

    private static long four(ByteBuffer bytes, int at) {
        return bytes.getInt(at) & 0xffffffffL;
    }

    private boolean read() throws IOException {
        long length = channel.size();
        ByteBuffer tail = bytes(Math.max(0, length - TAIL), (int) Math.min(TAIL, length));
        int end = tail.limit() - END;
        if (end < 0 || tail.getInt(end) != END_SIGN || two(tail, end + 20) != 0) {
            for (int at = end; at >= 0; at--) {
                if (tail.getInt(at) == END_SIGN) {
                    return wrong(What.ZIP_AFTER, "");
                }
            }
            return wrong(What.ZIP_BROKEN, "");
        }
        int count = two(tail, end + 10);
        long size = four(tail, end + 12);
        long from = four(tail, end + 16);
        if (count > MOST_FILES || size > LARGEST_DIRECTORY) {
            return wrong(What.TOO_LARGE, "");
        }
        if (tail.getInt(end + 4) != 0 || two(tail, end + 8) != count || from + size > length - END) {
            return wrong(What.ZIP_BROKEN, "");
        }
        if (from + size < length - END) {
            return wrong(What.ZIP_GAP, "");
        }
        List<ZipPart> parts = new ArrayList<>();
        return directory(bytes(from, (int) size), count, parts) && isSmallEnough(parts) && isBackToBack(parts, from) && named(parts);
    }

    private boolean directory(ByteBuffer d, int count, List<ZipPart> parts) {
        int at = 0;
        for (int i = 0; i < count; i++) {
            if (at + CENTRAL > d.limit() || d.getInt(at) != CENTRAL_SIGN || at + CENTRAL + two(d, at + 28) > d.limit()) {
                return wrong(What.ZIP_BROKEN, "");
            }
            byte[] name = Arrays.copyOfRange(d.array(), at + CENTRAL, at + CENTRAL + two(d, at + 28));
            ZipPart part = new ZipPart(name, two(d, at + 8), two(d, at + 10), d.getInt(at + 12), d.getInt(at + 16), four(d, at + 20),
                    four(d, at + 24), four(d, at + 42));
            int kind = d.getInt(at + 38) >>> 16 & KIND_OF_FILE;
            // Fields for other programs, comments, further disks, encrypted, links, folders: nothing that a survey needs.
            boolean isPlain = d.getInt(at + 30) == 0 && two(d, at + 34) == 0 && (part.flags & ~(SIZES_BEHIND | NAMES_IN_UTF8)) == 0
                    && (part.method == STORED || part.method == DEFLATED) && (d.getInt(at + 38) & FOLDER_OR_LABEL) == 0
                    && (kind == 0 || kind == PLAIN_FILE) && part.packed != OF_ZIP64 && part.size != OF_ZIP64
                    && (name.length == 0 || name[name.length - 1] != '/');
            if (!isPlain) {
                return wrong(What.ZIP_KIND, "file " + (i + 1));
            }
            parts.add(part);
            at += CENTRAL + name.length;
        }
        return at == d.limit() || wrong(What.ZIP_GAP, "");
    }

    private boolean isSmallEnough(List<ZipPart> parts) {
        return parts.stream().mapToLong(ZipPart::size).sum() <= MOST_BYTES || wrong(What.TOO_LARGE, "");
    }

    private boolean isBackToBack(List<ZipPart> parts, long from) throws IOException {
        long next = 0;
        for (int i = 0; i < parts.size(); i++) {
            ZipPart part = parts.get(i);
            if (part.at != next || part.begins() + part.packed > from) {
                return wrong(What.ZIP_GAP, "file " + (i + 1));
            }
            ByteBuffer head = bytes(part.at, LOCAL + part.name.length);
            boolean same = head.getInt(0) == LOCAL_SIGN && two(head, 6) == part.flags && two(head, 8) == part.method
                    && head.getInt(10) == part.time && two(head, 26) == part.name.length && two(head, 28) == 0
                    && Arrays.equals(Arrays.copyOfRange(head.array(), LOCAL, LOCAL + part.name.length), part.name)
                    && (isSaid(head, 14, part) || part.isSaidBehind() && isLeftOut(head));
            next = part.begins() + part.packed;
            if (part.isSaidBehind()) {
                ByteBuffer behind = bytes(next, BEHIND);
                same &= behind.limit() == BEHIND && behind.getInt(0) == BEHIND_SIGN && isSaid(behind, 4, part);
                next += BEHIND;
            }
            if (!same) {
                return wrong(What.ZIP_LOCAL, "file " + (i + 1));
            }
        }
        return next == from || wrong(What.ZIP_GAP, "");
    }

    private static boolean isSaid(ByteBuffer bytes, int at, ZipPart part) {
        return bytes.getInt(at) == part.crc && four(bytes, at + 4) == part.packed && four(bytes, at + 8) == part.size;
    }

    private static boolean isLeftOut(ByteBuffer head) {
        return head.getInt(14) == 0 && head.getInt(18) == 0 && head.getInt(22) == 0;
    }

    private boolean named(List<ZipPart> parts) {
        // Of two files of one name nobody knows which counts: neither.
        Set<String> twice = new LinkedHashSet<>();
        int unsafe = 0;
        for (int i = 0; i < parts.size(); i++) {
            String name = text(parts.get(i));
            if (name.isEmpty() || name.length() > LONGEST_NAME || UNSAFE.matcher(name).find()) {
                if (unsafe++ < MOST_NAMES_SAID) {
                    wrong(What.NAME_UNSAFE, name.isEmpty() ? "file " + (i + 1)
                            : UNSAFE_SIGN.matcher(name.length() > LONGEST_NAME
                                    ? name.substring(0, LONGEST_NAME)
                                    : name).replaceAll("?"));
                }
            } else if (files.putIfAbsent(name, parts.get(i)) != null) {
                twice.add(name);
            }
        }
        twice.forEach(name -> {
            files.remove(name);
            wrong(What.NAME_TWICE, name);
        });
        return true;
    }

    /** Empty where it is no text. */
    private static String text(ZipPart part) {
        boolean ascii = true;
        for (byte b : part.name) {
            ascii &= b >= 0;
        }
        try {
            return ascii || (part.flags & NAMES_IN_UTF8) != 0
                    ? StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(part.name)).toString()
                    : "";
        } catch (CharacterCodingException noText) {
            return "";
        }
    }

    /** Read part by part; one byte is a part. */
    private abstract static class Parts extends InputStream {

        @Override
        public int read() throws IOException {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public abstract int read(byte[] into, int from, int most) throws IOException;
    }

    /** Unpacks a file as it is read; at its end throws where it is more, less or other than was said. */
    private final class ZipContent extends Parts {

        private final ZipPart part;
        private final Inflater inflater = new Inflater(true);
        private final InputStream unpacked;
        private final CRC32 crc = new CRC32();
        private long count;

        ZipContent(ZipPart part) {
            this.part = part;
            InputStream packed = new Packed(part.begins(), part.packed);
            unpacked = part.method == STORED ? packed : new InflaterInputStream(packed, inflater, 32 * 1024);
        }

        @Override
        public int read(byte[] into, int from, int most) throws IOException {
            int n = unpacked.read(into, from, most);
            if (n > 0) {
                count += n;
                crc.update(into, from, n);
            }
            boolean more = count > part.size;
            boolean ends = n < 0;
            if (more || ends && (count != part.size || (int) crc.getValue() != part.crc
                    || part.method == DEFLATED && inflater.getBytesRead() != part.packed)) {
                throw new IOException("not what the directory says");
            }
            return n;
        }

        @Override
        public void close() {
            inflater.end();
        }
    }

    /** The bytes of one file as they are packed. */
    private final class Packed extends Parts {

        private long at;
        private final long end;

        Packed(long at, long count) {
            this.at = at;
            this.end = at + count;
        }

        @Override
        public int read(byte[] into, int from, int most) throws IOException {
            if (at >= end) {
                return -1;
            }
            int n = channel.read(ByteBuffer.wrap(into, from, (int) Math.min(most, end - at)), at);
            at += Math.max(0, n);
            return n;
        }
    }
}
