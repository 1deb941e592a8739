package tallledger.web;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** A zip somewhere, file by file. */
final class Zipped {

    private final String url;

    Zipped(String url) {
        this.url = url;
    }

    byte[] file(String name) throws IOException {
        try (InputStream raw = URI.create(url).toURL().openStream(); ZipInputStream in = new ZipInputStream(raw)) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                if (e.getName().equals(name)) {
                    ByteArrayOutputStream out = new ByteArrayOutputStream();
                    in.transferTo(out);
                    return out.toByteArray();
                }
            }
        }
        throw new IOException("no " + name);
    }
}
