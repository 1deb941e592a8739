package tallledger.web.sharing;

import java.io.IOException;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.security.KeyStore;
import java.security.cert.X509Certificate;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.catalina.LifecycleState;
import org.apache.catalina.connector.Connector;
import org.apache.coyote.http11.AbstractHttp11Protocol;
import org.apache.tomcat.util.net.SSLHostConfig;
import org.apache.tomcat.util.net.SSLHostConfigCertificate;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.tomcat.TomcatWebServer;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.stereotype.Component;
import tallledger.core.reason.Reason;
import tallledger.core.seal.Fingerprint;
import tallledger.web.connections.Connections;
import tallledger.web.store.WriteRefusedException;
import tallledger.web.words.WebReason;

/**
 * Answers others in the local network, where that was asked for: encrypted, at a port of its own, under this computer's own addresses. The
 * port without encryption stays this computer's alone. Who is let in says {@link Devices}; {@link DeviceGate} holds everybody else off.
 */
@Component
public class Sharing {

    private static final Logger LOG = LoggerFactory.getLogger(Sharing.class);
    static final String SCHEME = "https";
    /** The computer itself may look how it is shared. */
    private static final List<String> ITSELF = List.of("localhost", "127.0.0.1");
    /** Addresses are asked for again after so long: a laptop is carried from one network to another. */
    private static final long ASKED_EVERY = 5_000;
    private static final List<String> PASSED_ON = List.of("connectionTimeout", "maxSwallowSize", "compression");

    private record Shared(Connector connector, KeyStore store) {
    }

    private final WebServerApplicationContext context;
    private final OwnCertificate certificate;
    private final Clock clock;
    private final int port;
    /** Those to be shared under where the ones found are not the right ones; empty for those found. */
    private final List<String> named;
    private volatile Optional<Shared> shared = Optional.empty();
    private volatile List<String> addresses = List.of();
    private volatile long asked;

    Sharing(WebServerApplicationContext context, @Value("${tallledger.data}") Path data, @Value("${tallledger.share-port}") int port,
            @Value("${tallledger.share-addresses}") List<String> named, Clock clock) {
        this.named = named.stream().map(LocalAddresses::literal).filter(LocalAddresses::isLocal).toList();
        this.context = context;
        this.certificate = new OwnCertificate(data, clock);
        this.clock = clock;
        this.port = port;
    }

    public boolean isOn() {
        return shared.isPresent();
    }

    /** The port it answers at; the one it was told to where it does not answer yet. */
    public int port() {
        return shared.map(s -> s.connector.getLocalPort()).orElse(port);
    }

    /** Where others reach it, the likeliest first; none where this computer is in no local network. */
    List<String> addresses() {
        long now = clock.millis();
        if (Math.abs(now - asked) > ASKED_EVERY) {
            asked = now;
            List<String> found = named.isEmpty() ? LocalAddresses.found() : named;
            boolean moved = !found.equals(addresses);
            addresses = found;
            if (moved) {
                renew();
            }
        }
        return addresses;
    }

    /** As somebody types it. */
    String address(String host) {
        return SCHEME + "://" + (host.contains(":") ? "[" + host + "]" : host) + ":" + port();
    }

    /** Whether a request names this computer as it is known to others. */
    public boolean isOurs(String host) {
        String bare = host.startsWith("[") && host.endsWith("]") ? host.substring(1, host.length() - 1) : host;
        return isOn() && (ITSELF.contains(bare) || addresses().contains(LocalAddresses.literal(bare)));
    }

    /** By which it knows itself alone. */
    static boolean isItself(String host) {
        return ITSELF.contains(host);
    }

    /**
     * From now on others are answered; done already, it is left as it is.
     *
     * @throws WriteRefusedException where the port is taken, or the certificate cannot be made
     */
    synchronized void begin() {
        if (isOn()) {
            return;
        }
        if (!isFree()) {
            throw new WriteRefusedException(Reason.of(WebReason.SHARING_PORT, String.valueOf(port)));
        }
        KeyStore store = certificate.of(names());
        Connector connector = connector(store);
        tomcat().getTomcat().getService().addConnector(connector);
        // One that cannot be started says so in the log, and nothing to who adds it.
        if (connector.getState() != LifecycleState.STARTED) {
            tomcat().getTomcat().getService().removeConnector(connector);
            throw new WriteRefusedException(Reason.of(WebReason.SHARING_PORT, String.valueOf(port)));
        }
        shared = Optional.of(new Shared(connector, store));
        LOG.info("Shared at {}", addresses().stream().map(this::address).toList());
    }

    private boolean isFree() {
        try (ServerSocket probe = new ServerSocket()) {
            probe.setReuseAddress(true);
            probe.bind(new InetSocketAddress(port));
            return true;
        } catch (IOException taken) {
            return false;
        }
    }

    /** Others are answered no more; what they are sending is cut. */
    synchronized void end() {
        shared.ifPresent(s -> {
            shared = Optional.empty();
            tomcat().getTomcat().getService().removeConnector(s.connector);
            try {
                s.connector.destroy();
            } catch (org.apache.catalina.LifecycleException e) {
                LOG.warn("The shared port did not close: {}", e.getMessage());
            }
        });
    }

    /** A laptop that came into another network shows a certificate with its new address, by the same root. */
    private synchronized void renew() {
        shared.ifPresent(s -> {
            KeyStore store = certificate.of(names());
            if (!shown(store).equals(shown(s.store))) {
                AbstractHttp11Protocol<?> protocol = (AbstractHttp11Protocol<?>) s.connector.getProtocolHandler();
                protocol.addSslHostConfig(config(store), true);
                shared = Optional.of(new Shared(s.connector, store));
            }
        });
    }

    private List<String> names() {
        List<String> names = new ArrayList<>(ITSELF);
        names.addAll(addresses());
        return names;
    }

    private TomcatWebServer tomcat() {
        return (TomcatWebServer) context.getWebServer();
    }

    /** As the computer's own is set up, but encrypted, and for everybody in the network. */
    private Connector connector(KeyStore store) {
        Connector own = tomcat().getTomcat().getConnector();
        Connector connector = new Connector(Connections.class.getName());
        connector.setPort(port);
        connector.setScheme(SCHEME);
        connector.setSecure(true);
        connector.setMaxPostSize(own.getMaxPostSize());
        connector.setMaxParameterCount(own.getMaxParameterCount());
        PASSED_ON.forEach(name -> connector.setProperty(name, String.valueOf(own.getProperty(name))));
        AbstractHttp11Protocol<?> protocol = (AbstractHttp11Protocol<?>) connector.getProtocolHandler();
        protocol.setSSLEnabled(true);
        protocol.addSslHostConfig(config(store));
        return connector;
    }

    private static SSLHostConfig config(KeyStore store) {
        SSLHostConfig config = new SSLHostConfig();
        config.setProtocols("+TLSv1.2+TLSv1.3");
        SSLHostConfigCertificate shown = new SSLHostConfigCertificate(config, SSLHostConfigCertificate.Type.EC);
        shown.setCertificateKeystore(store);
        shown.setCertificateKeyAlias(OwnCertificate.SHOWN);
        shown.setCertificateKeyPassword(new String(OwnCertificate.WORD));
        config.addCertificate(shown);
        return config;
    }

    private static X509Certificate shown(KeyStore store) {
        return read(() -> OwnCertificate.shown(store));
    }

    /** What a device's browser shows of the certificate, where it is shared. */
    Optional<Fingerprint> fingerprint() {
        return shared.map(s -> read(() -> OwnCertificate.fingerprint(OwnCertificate.shown(s.store))));
    }

    /** The same of the root. */
    Optional<Fingerprint> rootFingerprint() {
        return shared.map(s -> read(() -> OwnCertificate.fingerprint(OwnCertificate.root(s.store))));
    }

    /** The root as a device installs it (DER). */
    Optional<byte[]> root() {
        return shared.map(s -> read(() -> OwnCertificate.root(s.store).getEncoded()));
    }

    private interface Asked<T> {
        T of() throws GeneralSecurityException;
    }

    private static <T> T read(Asked<T> asked) {
        try {
            return asked.of();
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("a certificate that was made can be read", e);
        }
    }
}
