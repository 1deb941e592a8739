package tallledger.web;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.zip.CRC32;

/** A zip put together byte by byte, so that it can lie in every place. Nothing is packed: what is tried is the container. */
final class ForgedZip {

    /** One file; what its header before the content says, and what the directory says. */
    static final class Part {

        byte[] local;
        byte[] central;
        byte[] content;
        int flags = 0x0800;
        int localFlags = 0x0800;
        int method;
        long crc;
        long localCrc;
        long packed;
        long size;
        long localSize;
        int attributes;
        byte[] extra = {};
        byte[] localExtra = {};
        byte[] comment = {};
        byte[] before = {};
        byte[] behind = {};
        boolean hidden;

        Part(String name, byte[] content) {
            CRC32 sum = new CRC32();
            sum.update(content);
            this.local = name.getBytes(StandardCharsets.UTF_8);
            this.central = local;
            this.content = content;
            this.crc = sum.getValue();
            this.localCrc = crc;
            this.packed = content.length;
            this.size = packed;
            this.localSize = packed;
        }
    }

    final List<Part> parts = new ArrayList<>();
    byte[] between = {};
    byte[] comment = {};
    byte[] after = {};
    int more;
    long directoryAt;

    static ForgedZip of(Map<String, byte[]> files) {
        ForgedZip zip = new ForgedZip();
        files.forEach((name, content) -> zip.parts.add(new Part(name, content)));
        return zip;
    }

    ForgedZip with(java.util.function.Consumer<ForgedZip> change) {
        change.accept(this);
        return this;
    }

    byte[] written() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ByteArrayOutputStream directory = new ByteArrayOutputStream();
        int count = more;
        for (Part p : parts) {
            out.writeBytes(p.before);
            int at = out.size();
            out.writeBytes(bytes(30).putInt(0x04034b50).putShort((short) 20).putShort((short) p.localFlags).putShort((short) p.method)
                    .putInt(0x5a21_0000).putInt((int) p.localCrc).putInt((int) p.packed).putInt((int) p.localSize)
                    .putShort((short) p.local.length).putShort((short) p.localExtra.length).array());
            out.writeBytes(p.local);
            out.writeBytes(p.localExtra);
            out.writeBytes(p.content);
            out.writeBytes(p.behind);
            if (p.hidden) {
                continue;
            }
            count++;
            directory.writeBytes(bytes(46).putInt(0x02014b50).putShort((short) 0x0314).putShort((short) 20).putShort((short) p.flags)
                    .putShort((short) p.method).putInt(0x5a21_0000).putInt((int) p.crc).putInt((int) p.packed).putInt((int) p.size)
                    .putShort((short) p.central.length).putShort((short) p.extra.length).putShort((short) p.comment.length)
                    .putInt(0).putInt(p.attributes).putInt(at).array());
            directory.writeBytes(p.central);
            directory.writeBytes(p.extra);
            directory.writeBytes(p.comment);
        }
        out.writeBytes(between);
        int at = out.size();
        out.writeBytes(directory.toByteArray());
        out.writeBytes(end(count, directory.size(), at + directoryAt));
        out.writeBytes(bytes(2).putShort((short) comment.length).array());
        out.writeBytes(comment);
        out.writeBytes(after);
        return out.toByteArray();
    }

    /** An end record without the length of its comment. */
    static byte[] end(int count, int size, long at) {
        return bytes(20).putInt(0x06054b50).putInt(0).putShort((short) count).putShort((short) count).putInt(size).putInt((int) at).array();
    }

    private static ByteBuffer bytes(int count) {
        return ByteBuffer.allocate(count).order(ByteOrder.LITTLE_ENDIAN);
    }
}
