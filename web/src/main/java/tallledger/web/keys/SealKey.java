package tallledger.web.keys;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.GeneralSecurityException;
import java.security.KeyFactory;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.spec.PKCS8EncodedKeySpec;
import java.security.spec.X509EncodedKeySpec;
import java.util.Base64;
import java.util.List;
import java.util.Optional;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import tallledger.core.reason.Reason;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;

/** The key surveys are sealed with: made when it is first needed, kept beside the database, readable by its owner only. */
@Component
public class SealKey {

    private static final String FILE = "seal.key";
    private static final String ED25519 = "Ed25519";
    private final Path file;

    SealKey(@Value("${tallledger.data}") Path data) {
        file = data.resolve(FILE);
    }

    /** The key, where there is one. @throws WriteRefusedException where its file cannot be read */
    public Optional<KeyPair> known() {
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        try {
            List<String> lines = Files.readAllLines(file, StandardCharsets.US_ASCII);
            KeyFactory factory = KeyFactory.getInstance(ED25519);
            return Optional.of(new KeyPair(factory.generatePublic(new X509EncodedKeySpec(Base64.getDecoder().decode(lines.get(1)))),
                    factory.generatePrivate(new PKCS8EncodedKeySpec(Base64.getDecoder().decode(lines.get(0))))));
        } catch (IOException | GeneralSecurityException | IllegalArgumentException | IndexOutOfBoundsException bent) {
            throw new WriteRefusedException(Reason.of(WebReason.SEAL_KEY_BROKEN, file.getFileName().toString()), bent);
        }
    }

    /** The key, made now where there is none: whole on the disk before anybody uses it. */
    public synchronized KeyPair made() {
        Optional<KeyPair> known = known();
        if (known.isPresent()) {
            return known.get();
        }
        try {
            KeyPair pair = KeyPairGenerator.getInstance(ED25519).generateKeyPair();
            Path fresh = file.resolveSibling(FILE + ".new");
            Files.deleteIfExists(fresh);
            Path folder = file.toAbsolutePath().getParent();
            boolean posix = Files.getFileStore(folder).supportsFileAttributeView("posix");
            if (posix) {
                Files.createFile(fresh, PosixFilePermissions.asFileAttribute(PosixFilePermissions.fromString("rw-------")));
            }
            Base64.Encoder text = Base64.getEncoder();
            Files.writeString(fresh, text.encodeToString(pair.getPrivate().getEncoded()) + "\n"
                    + text.encodeToString(pair.getPublic().getEncoded()) + "\n", StandardCharsets.US_ASCII);
            try (FileChannel channel = FileChannel.open(fresh, StandardOpenOption.WRITE)) {
                channel.force(true);
            }
            Files.move(fresh, file, StandardCopyOption.ATOMIC_MOVE);
            if (posix) {
                // Its name too has to be on the disk: a survey closed with a key that a power cut takes away cannot be sealed any more.
                try (FileChannel names = FileChannel.open(folder, StandardOpenOption.READ)) {
                    names.force(true);
                }
            }
            return pair;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java from 15 on makes Ed25519 keys", e);
        }
    }
}
