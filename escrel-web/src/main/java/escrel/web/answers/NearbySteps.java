package escrel.web.answers;

import jakarta.servlet.ServletException;
import java.io.IOException;
import java.net.InetAddress;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ValveBase;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.tomcat.ConfigurableTomcatWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.stereotype.Component;

/**
 * The answer to a step on this machine itself goes unpacked: packing it takes an eighth of the step, and nothing is saved where
 * nothing is sent. Whole pages, and everything that leaves the machine, are packed as before.
 */
@Component
class NearbySteps implements WebServerFactoryCustomizer<ConfigurableTomcatWebServerFactory> {
    @Override
    public void customize(ConfigurableTomcatWebServerFactory factory) {
        factory.addEngineValves(new Unpacked());
    }

    private static final class Unpacked extends ValveBase {
        Unpacked() {
            super(true);
        }

        @Override
        public void invoke(Request request, Response response) throws IOException, ServletException {
            if (goesUnpacked(request.getHeader("HX-Request"), request.getRemoteAddr())) {
                request.getCoyoteRequest().getMimeHeaders().removeHeader("Accept-Encoding");
            }
            getNext().invoke(request, response);
        }
    }

    /**
     * Whether an answer is not worth packing.
     *
     * @param partOfPage what is said when only a part of a page is asked for; nothing for a whole one
     * @param address from where it is asked, in figures, so that nothing is looked up
     */
    static boolean goesUnpacked(@Nullable String partOfPage, String address) throws IOException {
        return partOfPage != null && InetAddress.getByName(address).isLoopbackAddress();
    }
}
