package escrel.web.dossier;

import jakarta.servlet.ServletException;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.WriteListener;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintWriter;
import java.io.Writer;
import java.util.Collection;
import java.util.Collections;
import java.util.Enumeration;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;
import org.springframework.web.servlet.DispatcherServlet;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Makes the pages of a job as a browser would get them, within the transaction of the one who asks, and throws them away:
 * a job whose pages cannot be made is found out before it is kept.
 */
@Component
class Rehearsal {
    private static final Logger LOG = LoggerFactory.getLogger(Rehearsal.class);
    private static final Pattern PAGE = Pattern.compile("/jobs/\\{number}/[^{]*");

    private final ObjectProvider<DispatcherServlet> dispatcher;
    private final ObjectProvider<RequestMappingHandlerMapping> doors;

    Rehearsal(
            ObjectProvider<DispatcherServlet> dispatcher,
            @Qualifier("requestMappingHandlerMapping") ObjectProvider<RequestMappingHandlerMapping> doors) {
        this.dispatcher = dispatcher;
        this.doors = doors;
    }

    /** Every page a job has, of whatever room; what is streamed to a file is no page. */
    List<String> pages() {
        return doors.getObject().getHandlerMethods().entrySet().stream()
                .filter(e -> e.getKey().getMethodsCondition().getMethods().contains(RequestMethod.GET))
                .filter(e -> !e.getValue().getMethod().toGenericString().contains("StreamingResponseBody"))
                .flatMap(e -> e.getKey().getPatternValues().stream())
                .filter(p -> PAGE.matcher(p).matches())
                .sorted()
                .toList();
    }

    /** The first page that cannot be made; nothing when all can, or when nobody asks over HTTP. */
    Optional<String> firstBroken(int number) {
        if (!(RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes here)) {
            return Optional.empty();
        }
        HttpServletResponse answer = Objects.requireNonNull(here.getResponse());
        for (String page : pages()) {
            Thrown response = new Thrown(answer);
            try {
                dispatcher
                        .getObject()
                        .service(
                                new Asked(here.getRequest(), page.replace("{number}", String.valueOf(number))),
                                response);
            } catch (ServletException | IOException | RuntimeException e) {
                LOG.info("a dossier was refused: its page {} cannot be made", page, e);
                return Optional.of(page);
            }
            if (response.status >= 500) {
                return Optional.of(page);
            }
        }
        return Optional.empty();
    }

    /** As if this page had been asked for. */
    private static final class Asked extends HttpServletRequestWrapper {
        private final String path;
        private final Map<String, Object> attributes = new HashMap<>();

        Asked(HttpServletRequest real, String path) {
            super(real);
            this.path = path;
            for (String name : Collections.list(real.getAttributeNames())) {
                if (!name.startsWith("org.springframework.web")) {
                    attributes.put(name, real.getAttribute(name));
                }
            }
        }

        @Override
        public String getMethod() {
            return "GET";
        }

        @Override
        public String getRequestURI() {
            return path;
        }

        @Override
        public String getServletPath() {
            return path;
        }

        @Override
        public @Nullable String getQueryString() {
            return null;
        }

        @Override
        public @Nullable String getContentType() {
            return null;
        }

        @Override
        public @Nullable String getHeader(String name) {
            return name.equalsIgnoreCase("HX-Request") || name.equalsIgnoreCase("Content-Type")
                    ? null
                    : super.getHeader(name);
        }

        @Override
        public @Nullable String getParameter(String name) {
            return null;
        }

        @Override
        public Map<String, String[]> getParameterMap() {
            return Map.of();
        }

        @Override
        public Enumeration<String> getParameterNames() {
            return Collections.emptyEnumeration();
        }

        @Override
        public String @Nullable [] getParameterValues(String name) {
            return null;
        }

        @Override
        public @Nullable Object getAttribute(String name) {
            return attributes.get(name);
        }

        @Override
        public Enumeration<String> getAttributeNames() {
            return Collections.enumeration(attributes.keySet());
        }

        @Override
        public void setAttribute(String name, @Nullable Object value) {
            if (value == null) {
                attributes.remove(name);
            } else {
                attributes.put(name, value);
            }
        }

        @Override
        public void removeAttribute(String name) {
            attributes.remove(name);
        }
    }

    /** Takes a page and throws it away. */
    private static final class Thrown extends HttpServletResponseWrapper {
        private int status = SC_OK;
        private final PrintWriter writer = new PrintWriter(Writer.nullWriter());
        private final ServletOutputStream stream = new ServletOutputStream() {
            private final OutputStream nowhere = OutputStream.nullOutputStream();

            @Override
            public boolean isReady() {
                return true;
            }

            @Override
            public void setWriteListener(WriteListener listener) {
                // nothing is ever waited for
            }

            @Override
            public void write(int b) throws IOException {
                nowhere.write(b);
            }
        };

        Thrown(HttpServletResponse real) {
            super(real);
        }

        @Override
        public void setStatus(int code) {
            status = code;
        }

        @Override
        public int getStatus() {
            return status;
        }

        @Override
        public void sendError(int code) {
            status = code;
        }

        @Override
        public void sendError(int code, String message) {
            status = code;
        }

        @Override
        public void sendRedirect(String location) {
            status = SC_FOUND;
        }

        @Override
        public PrintWriter getWriter() {
            return writer;
        }

        @Override
        public ServletOutputStream getOutputStream() {
            return stream;
        }

        @Override
        public void setHeader(String name, @Nullable String value) {
            // thrown away
        }

        @Override
        public void addHeader(String name, @Nullable String value) {
            // thrown away
        }

        @Override
        public void setContentType(@Nullable String type) {
            // thrown away
        }

        @Override
        public void setContentLength(int length) {
            // thrown away
        }

        @Override
        public void setContentLengthLong(long length) {
            // thrown away
        }

        @Override
        public void setCharacterEncoding(@Nullable String encoding) {
            // thrown away
        }

        @Override
        public boolean containsHeader(String name) {
            return false;
        }

        @Override
        public @Nullable String getHeader(String name) {
            return null;
        }

        @Override
        public Collection<String> getHeaders(String name) {
            return List.of();
        }

        @Override
        public boolean isCommitted() {
            return false;
        }

        @Override
        public void reset() {
            status = SC_OK;
        }

        @Override
        public void resetBuffer() {
            // nothing is kept
        }

        @Override
        public void flushBuffer() {
            // nothing is kept
        }
    }
}
