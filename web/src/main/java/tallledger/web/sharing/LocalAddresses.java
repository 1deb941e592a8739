package tallledger.web.sharing;

import java.io.IOException;
import java.net.DatagramSocket;
import java.net.Inet4Address;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.net.UnknownHostException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Addresses of this computer in the local networks it is in: those of the Internet are none to share a survey at. */
final class LocalAddresses {

    private static final Logger LOG = LoggerFactory.getLogger(LocalAddresses.class);
    /** An address kept for examples (RFC 5737): asked the way there, a computer names the address it would go out by, and sends nothing. */
    private static final String ELSEWHERE = "192.0.2.1";
    private static final Pattern FIGURES = Pattern.compile("[0-9.]{7,15}|[0-9a-fA-F:.]{3,45}");
    private static final Pattern LITERAL = Pattern.compile("[0-9a-fA-F]{0,4}:[0-9a-fA-F:.]{1,40}");
    private static final int UNIQUE_LOCAL = 0xfc;

    private LocalAddresses() {
    }

    /** The one that others most likely reach first. */
    static List<String> found() {
        try {
            List<InetAddress> all = new ArrayList<>(NetworkInterface.networkInterfaces().filter(LocalAddresses::isUp)
                    .flatMap(NetworkInterface::inetAddresses).filter(LocalAddresses::isLocal).toList());
            String out = outgoing();
            all.sort(Comparator.comparing((InetAddress a) -> !written(a).equals(out)).thenComparing(a -> !(a instanceof Inet4Address)));
            return all.stream().map(LocalAddresses::written).distinct().toList();
        } catch (SocketException none) {
            LOG.warn("The addresses of this computer cannot be read: {}", none.getMessage());
            return List.of();
        }
    }

    /** The same as a certificate and an address line write it. */
    static String written(InetAddress address) {
        String text = address.getHostAddress();
        int zone = text.indexOf('%');
        return zone < 0 ? text : text.substring(0, zone);
    }

    /** An address as a browser shortens it, in full; anything else as it is. No name is looked up. */
    static String literal(String host) {
        try {
            return LITERAL.matcher(host).matches() ? written(InetAddress.getByName(host)) : host;
        } catch (UnknownHostException none) {
            return host;
        }
    }

    private static boolean isUp(NetworkInterface one) {
        try {
            return one.isUp() && !one.isLoopback();
        } catch (SocketException gone) {
            return false;
        }
    }

    /** The same of one that is written in figures; a name is none. */
    static boolean isLocal(String written) {
        try {
            return FIGURES.matcher(written).matches() && isLocal(InetAddress.getByName(written));
        } catch (UnknownHostException none) {
            return false;
        }
    }

    static boolean isLocal(InetAddress address) {
        return address instanceof Inet4Address ? address.isSiteLocalAddress() || address.isLinkLocalAddress()
                : (address.getAddress()[0] & 0xfe) == UNIQUE_LOCAL;
    }

    private static String outgoing() {
        try (DatagramSocket probe = new DatagramSocket()) {
            probe.connect(new InetSocketAddress(ELSEWHERE, 9));
            return Stream.of(probe.getLocalAddress()).map(LocalAddresses::written).findFirst().orElse("");
        } catch (IOException | RuntimeException noWay) {
            return "";
        }
    }
}
