package tallledger.web.keys;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
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
import tallledger.web.store.OwnerOnlyFile;
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
            Base64.Encoder text = Base64.getEncoder();
            OwnerOnlyFile.write(file, (text.encodeToString(pair.getPrivate().getEncoded()) + "\n"
                    + text.encodeToString(pair.getPublic().getEncoded()) + "\n").getBytes(StandardCharsets.US_ASCII));
            return pair;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("every Java from 15 on makes Ed25519 keys", e);
        }
    }
}
