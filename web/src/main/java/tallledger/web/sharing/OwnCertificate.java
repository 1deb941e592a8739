package tallledger.web.sharing;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigInteger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.PrivateKey;
import java.security.PublicKey;
import java.security.SecureRandom;
import java.security.cert.Certificate;
import java.security.cert.X509Certificate;
import java.security.spec.ECGenParameterSpec;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.Date;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.bouncycastle.asn1.x500.X500Name;
import org.bouncycastle.asn1.x509.BasicConstraints;
import org.bouncycastle.asn1.x509.ExtendedKeyUsage;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.asn1.x509.GeneralSubtree;
import org.bouncycastle.asn1.x509.KeyPurposeId;
import org.bouncycastle.asn1.x509.KeyUsage;
import org.bouncycastle.asn1.x509.NameConstraints;
import org.bouncycastle.cert.X509v3CertificateBuilder;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509ExtensionUtils;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.operator.OperatorCreationException;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import tallledger.core.reason.Reason;
import tallledger.core.seal.Fingerprint;
import tallledger.web.store.OwnerOnlyFile;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;

/**
 * What this computer shows so that a device knows whom it talks to (X.509, RFC 5280): a certificate for its own addresses, vouched for by
 * a root of its own. Between the two stands one that may vouch for addresses of local networks and for nothing else. The root's own key is
 * thrown away once it has signed that: so a device that installs the root trusts nobody on the Internet by it, not even whoever steals the
 * file, which lies beside the database, readable by its owner only.
 */
final class OwnCertificate {

    private static final String FILE = "sharing.p12";
    private static final String BETWEEN = "between";
    static final String SHOWN = "shown";
    /** The file is guarded by who may read it; the format wants a word. */
    static final char[] WORD = "owner-only".toCharArray();
    private static final String SIGNED = "SHA256withECDSA";
    private static final String NAME = "O=Tall Ledger at this address";
    private static final String ROOT_NAME = "CN=Tall Ledger of one computer";
    private static final String BETWEEN_NAME = "CN=Tall Ledger in local networks";
    /** Clocks of devices go wrong: it holds from a day before it was made. */
    private static final Duration BEFORE = Duration.ofDays(1);
    private static final Duration ROOT_HOLDS = Duration.ofDays(3650);
    /** Telephones refuse longer ones. */
    private static final Duration HOLDS = Duration.ofDays(365);
    private static final Duration RENEWED = Duration.ofDays(30);
    /** Addresses of local networks: RFC 1918, RFC 3927, RFC 4193, and of the computer itself. */
    private static final List<String> LOCAL = List.of("10.0.0.0/8", "172.16.0.0/12", "192.168.0.0/16", "169.254.0.0/16", "127.0.0.0/8",
            "fc00::/7");

    private final Path file;
    private final Clock clock;

    OwnCertificate(Path data, Clock clock) {
        this.file = data.resolve(FILE);
        this.clock = clock;
    }

    /**
     * The certificate for these addresses: the one that is there where it names them all and holds on, else a new one by the same root.
     *
     * @throws WriteRefusedException where its file cannot be read or written
     */
    synchronized KeyStore of(Collection<String> addresses) {
        try {
            Optional<KeyStore> known = known();
            if (known.isPresent() && holds(shown(known.get()), addresses)) {
                return known.get();
            }
            KeyStore made = made(known, addresses);
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            made.store(bytes, WORD);
            OwnerOnlyFile.write(file, bytes.toByteArray());
            return made;
        } catch (IOException | GeneralSecurityException | OperatorCreationException | RuntimeException bent) {
            throw new WriteRefusedException(Reason.of(WebReason.SHARING_FILE, file.getFileName().toString()), bent);
        }
    }

    private Optional<KeyStore> known() throws IOException, GeneralSecurityException {
        if (!Files.exists(file)) {
            return Optional.empty();
        }
        KeyStore store = KeyStore.getInstance("PKCS12");
        store.load(new ByteArrayInputStream(Files.readAllBytes(file)), WORD);
        return Optional.of(store);
    }

    private boolean holds(X509Certificate shown, Collection<String> addresses) throws GeneralSecurityException {
        Set<String> named = shown.getSubjectAlternativeNames().stream().map(n -> String.valueOf(n.get(1))).collect(Collectors.toSet());
        return named.containsAll(addresses) && shown.getNotAfter().toInstant().isAfter(clock.instant().plus(RENEWED));
    }

    private KeyStore made(Optional<KeyStore> known, Collection<String> addresses)
            throws GeneralSecurityException, IOException, OperatorCreationException {
        KeyStore store = KeyStore.getInstance("PKCS12");
        store.load(null, WORD);
        PrivateKey key;
        X509Certificate between;
        X509Certificate root;
        if (known.isPresent() && root(known.get()).getNotAfter().toInstant().isAfter(clock.instant().plus(HOLDS))) {
            key = (PrivateKey) known.get().getKey(BETWEEN, WORD);
            between = (X509Certificate) known.get().getCertificate(BETWEEN);
            root = root(known.get());
        } else {
            KeyPair rootPair = pair();
            root = signed(authority(ROOT_NAME, rootPair.getPublic(), 1), rootPair.getPrivate());
            KeyPair pair = pair();
            key = pair.getPrivate();
            between = signed(authority(BETWEEN_NAME, pair.getPublic(), 0).addExtension(Extension.nameConstraints, true, local()),
                    rootPair.getPrivate());
        }
        store.setKeyEntry(BETWEEN, key, WORD, new Certificate[] {between, root});
        KeyPair pair = pair();
        X509Certificate shown = signed(shownBuilder(between, pair, addresses), key);
        store.setKeyEntry(SHOWN, pair.getPrivate(), WORD, new Certificate[] {shown, between, root});
        return store;
    }

    private static KeyPair pair() throws GeneralSecurityException {
        KeyPairGenerator generator = KeyPairGenerator.getInstance("EC");
        generator.initialize(new ECGenParameterSpec("secp256r1"));
        return generator.generateKeyPair();
    }

    /**
     * One that vouches, signed by the root.
     *
     * @param below how many that vouch may stand below it
     */
    private X509v3CertificateBuilder authority(String name, PublicKey key, int below) throws GeneralSecurityException, IOException {
        Instant now = clock.instant();
        return new JcaX509v3CertificateBuilder(new X500Name(ROOT_NAME), number(), Date.from(now.minus(BEFORE)),
                Date.from(now.plus(ROOT_HOLDS)), new X500Name(name), key)
                .addExtension(Extension.basicConstraints, true, new BasicConstraints(below))
                .addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.keyCertSign | KeyUsage.cRLSign))
                .addExtension(Extension.subjectKeyIdentifier, false, new JcaX509ExtensionUtils().createSubjectKeyIdentifier(key));
    }

    private static NameConstraints local() {
        return new NameConstraints(Stream.concat(LOCAL.stream().map(range -> new GeneralName(GeneralName.iPAddress, range)),
                Stream.of(new GeneralName(GeneralName.dNSName, "localhost"))).map(GeneralSubtree::new).toArray(GeneralSubtree[]::new),
                null);
    }

    private X509v3CertificateBuilder shownBuilder(X509Certificate between, KeyPair pair, Collection<String> addresses)
            throws GeneralSecurityException, IOException {
        Instant now = clock.instant();
        GeneralName[] names = addresses.stream()
                .map(a -> new GeneralName(a.equals("localhost") ? GeneralName.dNSName : GeneralName.iPAddress, a))
                .toArray(GeneralName[]::new);
        return new JcaX509v3CertificateBuilder(new X500Name(BETWEEN_NAME), number(),
                Date.from(now.minus(BEFORE)), Date.from(now.plus(HOLDS)), new X500Name(NAME), pair.getPublic())
                .addExtension(Extension.basicConstraints, true, new BasicConstraints(false))
                .addExtension(Extension.keyUsage, true, new KeyUsage(KeyUsage.digitalSignature))
                .addExtension(Extension.extendedKeyUsage, false, new ExtendedKeyUsage(KeyPurposeId.id_kp_serverAuth))
                .addExtension(Extension.subjectAlternativeName, false, new GeneralNames(names))
                .addExtension(Extension.authorityKeyIdentifier, false, new JcaX509ExtensionUtils().createAuthorityKeyIdentifier(between));
    }

    private static BigInteger number() {
        return new BigInteger(120, new SecureRandom()).setBit(119);
    }

    private static X509Certificate signed(X509v3CertificateBuilder builder, PrivateKey by)
            throws GeneralSecurityException, OperatorCreationException {
        return new JcaX509CertificateConverter().getCertificate(builder.build(new JcaContentSignerBuilder(SIGNED).build(by)));
    }

    /** What browsers are shown. */
    static X509Certificate shown(KeyStore store) throws GeneralSecurityException {
        return (X509Certificate) store.getCertificate(SHOWN);
    }

    /** What vouches for it, above all. */
    static X509Certificate root(KeyStore store) throws GeneralSecurityException {
        return (X509Certificate) store.getCertificateChain(BETWEEN)[1];
    }

    /** What a certificate is known by: the SHA-256 of the whole, as browsers show it. */
    static Fingerprint fingerprint(X509Certificate certificate) throws GeneralSecurityException {
        return Fingerprint.of(certificate.getEncoded());
    }
}
