package escrel.web.answers;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.boot.webmvc.autoconfigure.WebMvcRegistrations;
import org.springframework.http.server.PathContainer;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import org.springframework.web.util.ServletRequestPathUtils;

/**
 * Finds the page of an address among some 250: how many pieces an address has and what its last one is rules out nearly all,
 * before one of them is looked at closely.
 */
@Component
class QuickAddresses implements WebMvcRegistrations {
    @Override
    public RequestMappingHandlerMapping getRequestMappingHandlerMapping() {
        return new Mapping();
    }

    private static final class Mapping extends RequestMappingHandlerMapping {
        private final Map<RequestMappingInfo, Shape> shapes = new ConcurrentHashMap<>();

        @Override
        protected @Nullable RequestMappingInfo getMatchingMapping(RequestMappingInfo info, HttpServletRequest request) {
            Shape shape = shapes.computeIfAbsent(info, i -> Shape.of(i.getPatternValues()));
            List<PathContainer.Element> address = ServletRequestPathUtils.getParsedRequestPath(request)
                    .pathWithinApplication()
                    .elements();
            return shape.mayBe(address) ? super.getMatchingMapping(info, request) : null;
        }
    }

    /**
     * What an address must look like.
     *
     * @param pieces how many there are between the slashes; 0 when any number will do
     * @param last the last of them; nothing when any will do
     */
    record Shape(int pieces, @Nullable String last) {
        private static final Shape ANY = new Shape(0, null);

        static Shape of(Set<String> patterns) {
            String pattern = patterns.size() == 1 ? patterns.iterator().next() : "";
            if (!pattern.startsWith("/") || pattern.matches(".*([*?:]|/$|//).*")) {
                return ANY;
            }
            String[] pieces = pattern.substring(1).split("/");
            String last = pieces[pieces.length - 1];
            return new Shape(pieces.length, last.contains("{") ? null : last);
        }

        boolean mayBe(List<PathContainer.Element> address) {
            if (pieces == 0) {
                return true;
            }
            return address.size() == 2 * pieces
                    && (last == null
                            || address.get(address.size() - 1) instanceof PathContainer.PathSegment end
                                    && last.equals(end.valueToMatch()));
        }
    }
}
