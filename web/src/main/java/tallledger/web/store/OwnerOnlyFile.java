package tallledger.web.store;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;

/** A small file that only its owner may read, such as one with a key: whole on the disk before anybody uses it, or not there. */
public final class OwnerOnlyFile {

    private OwnerOnlyFile() {
    }

    public static void write(Path file, byte[] bytes) throws IOException {
        Path fresh = file.resolveSibling(file.getFileName() + ".new");
        Files.deleteIfExists(fresh);
        Path folder = file.toAbsolutePath().getParent();
        boolean posix = Files.getFileStore(folder).supportsFileAttributeView("posix");
        if (posix) {
            Files.createFile(fresh, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
        }
        Files.write(fresh, bytes);
        try (FileChannel channel = FileChannel.open(fresh, StandardOpenOption.WRITE)) {
            channel.force(true);
        }
        Files.move(fresh, file, StandardCopyOption.ATOMIC_MOVE, StandardCopyOption.REPLACE_EXISTING);
        if (posix) {
            // Its name too has to be on the disk: a survey closed with a key that a power cut takes away cannot be sealed any more.
            try (FileChannel names = FileChannel.open(folder, StandardOpenOption.READ)) {
                names.force(true);
            }
        }
    }
}
