package tallledger.web.sharing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigInteger;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.KeyPair;
import java.security.KeyPairGenerator;
import java.security.KeyStore;
import java.security.PrivateKey;
import java.security.cert.CertPath;
import java.security.cert.CertPathValidator;
import java.security.cert.CertPathValidatorException;
import java.security.cert.CertificateFactory;
import java.security.cert.PKIXParameters;
import java.security.cert.TrustAnchor;
import java.security.cert.X509Certificate;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Collections;
import java.util.Date;
import java.util.List;
import java.util.Set;
import javax.security.auth.x500.X500Principal;
import org.bouncycastle.asn1.x509.Extension;
import org.bouncycastle.asn1.x509.GeneralName;
import org.bouncycastle.asn1.x509.GeneralNames;
import org.bouncycastle.cert.jcajce.JcaX509CertificateConverter;
import org.bouncycastle.cert.jcajce.JcaX509v3CertificateBuilder;
import org.bouncycastle.operator.jcajce.JcaContentSignerBuilder;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tallledger.web.store.WriteRefusedException;

class OwnCertificateTest {

    private static final List<String> HERE = List.of("localhost", "127.0.0.1", "192.168.1.20", "fd00:0:0:0:0:0:0:2");
    private static final Instant NOW = Instant.now();

    @TempDir
    private Path data;

    private OwnCertificate at(Instant time) {
        return new OwnCertificate(data, Clock.fixed(time, ZoneOffset.UTC));
    }

    @Test
    void itNamesItsAddressesAndIsKeptForItsOwnerOnly() throws Exception {
        KeyStore made = at(NOW).of(HERE);
        X509Certificate shown = OwnCertificate.shown(made);
        assertThat(shown.getSubjectAlternativeNames().stream().map(n -> String.valueOf(n.get(1))))
                .containsExactlyInAnyOrderElementsOf(HERE);
        assertThat(Files.getPosixFilePermissions(data.resolve("sharing.p12"))).isEqualTo(PosixFilePermissions.fromString("rw-------"));
        assertThat(shown.getBasicConstraints()).as("vouches for nobody").isEqualTo(-1);
        assertThat(Duration.between(shown.getNotBefore().toInstant(), shown.getNotAfter().toInstant())).isLessThan(Duration.ofDays(398));
        assertThat(OwnCertificate.shown(at(NOW).of(HERE))).as("read again").isEqualTo(shown);
        assertThat(OwnCertificate.shown(at(NOW).of(HERE.subList(0, 3)))).as("an address fewer").isEqualTo(shown);
        assertThat(OwnCertificate.fingerprint(shown).words().split(" ")).hasSize(10);
    }

    @Test
    void anotherAddressOrAYearLaterTheRootStaysTheSame() throws Exception {
        KeyStore made = at(NOW).of(HERE);
        KeyStore moved = at(NOW).of(List.of("localhost", "10.0.0.7"));
        assertThat(OwnCertificate.shown(moved)).isNotEqualTo(OwnCertificate.shown(made));
        assertThat(OwnCertificate.root(moved)).isEqualTo(OwnCertificate.root(made));
        KeyStore later = at(NOW.plus(Duration.ofDays(336))).of(List.of("localhost", "10.0.0.7"));
        assertThat(OwnCertificate.shown(later)).as("a month before it ends").isNotEqualTo(OwnCertificate.shown(moved));
        assertThat(OwnCertificate.root(later)).isEqualTo(OwnCertificate.root(made));
        KeyStore old = at(NOW.plus(Duration.ofDays(3400))).of(HERE);
        assertThat(OwnCertificate.root(old)).as("it would end before what it vouches for").isNotEqualTo(OwnCertificate.root(made));
    }

    /** Whoever installs the root trusts nobody on the Internet by it. */
    @ParameterizedTest
    @CsvSource({"192.168.1.20, true", "10.1.2.3, true", "fd00::7, true", "8.8.8.8, false", "172.32.0.1, false", "2001:db8::1, false",
            "example.org, false"})
    void theRootVouchesForLocalNetworksOnly(String name, boolean vouches) throws Exception {
        KeyStore made = at(NOW).of(HERE);
        X509Certificate between = (X509Certificate) made.getCertificate("between");
        PrivateKey key = (PrivateKey) made.getKey("between", OwnCertificate.WORD);
        KeyPair pair = KeyPairGenerator.getInstance("EC").generateKeyPair();
        GeneralName of = new GeneralName(name.endsWith("org") ? GeneralName.dNSName : GeneralName.iPAddress, name);
        X509Certificate forged = new JcaX509CertificateConverter().getCertificate(new JcaX509v3CertificateBuilder(between, BigInteger.TEN,
                Date.from(NOW.minusSeconds(60)), Date.from(NOW.plusSeconds(3600)), new X500Principal("O=x"), pair.getPublic())
                .addExtension(Extension.subjectAlternativeName, false, new GeneralNames(of))
                .build(new JcaContentSignerBuilder("SHA256withECDSA").build(key)));
        CertPath path = CertificateFactory.getInstance("X.509").generateCertPath(List.of(forged, between));
        PKIXParameters trusting = new PKIXParameters(Set.of(new TrustAnchor(OwnCertificate.root(made), null)));
        trusting.setRevocationEnabled(false);
        if (vouches) {
            CertPathValidator.getInstance("PKIX").validate(path, trusting);
        } else {
            assertThatThrownBy(() -> CertPathValidator.getInstance("PKIX").validate(path, trusting))
                    .isInstanceOf(CertPathValidatorException.class).hasMessageContaining("name constraints");
        }
    }

    /** Whoever steals the file cannot sign in the root's place. */
    @Test
    void theRootsOwnKeyIsNotKept() throws Exception {
        KeyStore made = at(NOW).of(HERE);
        for (String alias : Collections.list(made.aliases())) {
            assertThat(((X509Certificate) made.getCertificate(alias)).getPublicKey())
                    .isNotEqualTo(OwnCertificate.root(made).getPublicKey());
        }
    }

    @Test
    void aFileThatCannotBeReadIsSaidAndLeft() throws Exception {
        Files.writeString(data.resolve("sharing.p12"), "no store of keys");
        assertThatThrownBy(() -> at(NOW).of(HERE)).isInstanceOfSatisfying(WriteRefusedException.class,
                w -> assertThat(w.reason().code()).isEqualTo("sharing.file"));
        assertThat(data.resolve("sharing.p12")).hasContent("no store of keys");
    }
}
