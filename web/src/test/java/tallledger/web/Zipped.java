package tallledger.web;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;

/** A zip somewhere, file by file. */
final class Zipped {

    private final String url;

    Zipped(String url) {
        this.url = url;
    }

    byte[] file(String name) throws IOException {
        try (InputStream raw = URI.create(url).toURL().openStream()) {
            byte[] file = files(raw.readAllBytes()).get(name);
            if (file == null) {
                throw new IOException("no " + name);
            }
            return file;
        }
    }

    static Map<String, byte[]> files(byte[] zip) throws IOException {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(zip))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                files.put(e.getName(), in.readAllBytes());
            }
        }
        return files;
    }
}
