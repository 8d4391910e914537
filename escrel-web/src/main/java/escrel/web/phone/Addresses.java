package escrel.web.phone;

import jakarta.servlet.http.HttpServletRequest;
import java.net.Inet4Address;
import java.net.NetworkInterface;
import java.net.SocketException;
import java.util.Set;
import org.springframework.web.util.UriComponentsBuilder;

/** Under which address a phone on the workshop's own network finds this machine. */
final class Addresses {
    private static final Set<String> ONLY_HERE = Set.of("localhost", "127.0.0.1", "[::1]", "::1");

    private Addresses() {}

    /** Scheme, host and port: as the page was asked for, or this machine's own address where that means nothing elsewhere. */
    static String of(HttpServletRequest request) {
        String asked = request.getServerName();
        String host = ONLY_HERE.contains(asked) ? ofThisMachine(asked) : asked;
        return UriComponentsBuilder.newInstance()
                .scheme(request.getScheme())
                .host(host)
                .port(request.getServerPort())
                .toUriString();
    }

    private static String ofThisMachine(String otherwise) {
        try {
            return NetworkInterface.networkInterfaces()
                    .filter(Addresses::isUp)
                    .flatMap(NetworkInterface::inetAddresses)
                    .filter(a -> a instanceof Inet4Address && a.isSiteLocalAddress())
                    .map(a -> a.getHostAddress())
                    .findFirst()
                    .orElse(otherwise);
        } catch (SocketException e) {
            return otherwise;
        }
    }

    private static boolean isUp(NetworkInterface network) {
        try {
            return network.isUp() && !network.isLoopback() && !network.isVirtual();
        } catch (SocketException e) {
            return false;
        }
    }
}
