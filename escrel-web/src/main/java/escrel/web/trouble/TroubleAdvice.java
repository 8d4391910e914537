package escrel.web.trouble;

import escrel.core.MendableException;
import escrel.web.disk.Disk;
import escrel.web.format.Texts;
import escrel.web.format.Theme;
import escrel.web.ground.NoRoomException;
import escrel.web.job.NoSuchJobException;
import escrel.web.job.RecordedElsewhereException;
import escrel.web.job.SentTwice;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.file.FileSystemException;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpStatus;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.web.firewall.RequestRejectedException;
import org.springframework.validation.BindException;
import org.springframework.validation.FieldError;
import org.springframework.web.HttpMediaTypeNotAcceptableException;
import org.springframework.web.HttpMediaTypeNotSupportedException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.ServletRequestBindingException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.context.request.async.AsyncRequestNotUsableException;
import org.springframework.web.context.request.async.AsyncRequestTimeoutException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.NoHandlerFoundException;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Turns exceptions into a plain page, or into a fragment where a part of a page was asked for. */
@ControllerAdvice
class TroubleAdvice {
    private static final Logger LOG = LoggerFactory.getLogger(TroubleAdvice.class);
    private static final String UNCHANGED = "Nothing was recorded or changed.";

    private final SentTwice sentTwice;

    TroubleAdvice(SentTwice sentTwice) {
        this.sentTwice = sentTwice;
    }

    /** What came second may be the very same: then there is no trouble. */
    @ExceptionHandler(RecordedElsewhereException.class)
    @Nullable
    ModelAndView elsewhere(RecordedElsewhereException e, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        return sentTwice.answered(request, response) ? null : mendable(e, request);
    }

    @ExceptionHandler(MendableException.class)
    ModelAndView mendable(MendableException e, HttpServletRequest request) {
        HttpStatus status = e instanceof NoSuchJobException
                ? HttpStatus.NOT_FOUND
                : e instanceof RecordedElsewhereException ? HttpStatus.CONFLICT : HttpStatus.UNPROCESSABLE_CONTENT;
        return page(request, status, e.whatHappened(), e.whatIsSafe(), e.whatToDo());
    }

    @ExceptionHandler({MaxUploadSizeExceededException.class, MultipartException.class})
    ModelAndView upload(Exception e, HttpServletRequest request) {
        return page(
                request,
                HttpStatus.UNPROCESSABLE_CONTENT,
                "What was sent could not be taken apart: it was cut off, or is larger than anything Escrel takes",
                UNCHANGED,
                "Send it again.");
    }

    /** Two at once: the other one was first. */
    @ExceptionHandler({ConcurrencyFailureException.class, DataIntegrityViolationException.class})
    @Nullable
    ModelAndView atOnce(Exception e, HttpServletRequest request, HttpServletResponse response) throws IOException {
        if (sentTwice.answered(request, response)) {
            return null;
        }
        LOG.info("{} {} met another at the same moment", request.getMethod(), request.getRequestURI(), e);
        return page(
                request,
                HttpStatus.CONFLICT,
                "Something else was recorded at the same moment",
                UNCHANGED,
                "Reload the page, look, and send it again.");
    }

    @ExceptionHandler({
        HttpMediaTypeNotSupportedException.class,
        HttpMediaTypeNotAcceptableException.class,
        HttpMessageNotReadableException.class,
        ServletRequestBindingException.class
    })
    ModelAndView unreadable(Exception e, HttpServletRequest request) {
        HttpStatus status = e instanceof HttpMediaTypeNotSupportedException
                ? HttpStatus.UNSUPPORTED_MEDIA_TYPE
                : e instanceof HttpMediaTypeNotAcceptableException
                        ? HttpStatus.NOT_ACCEPTABLE
                        : HttpStatus.UNPROCESSABLE_CONTENT;
        return page(
                request,
                status,
                "What was sent has not the form this address takes",
                UNCHANGED,
                "Go back, reload the page and send it again.");
    }

    /** Core refuses what cannot exist, by name and bound. */
    @ExceptionHandler(IllegalArgumentException.class)
    ModelAndView impossible(IllegalArgumentException e, HttpServletRequest request) {
        LOG.info("{} {} sent what cannot be", request.getMethod(), request.getRequestURI(), e);
        String message = String.valueOf(e.getMessage());
        boolean ours = message.contains("escrel.") || message.contains("java.") || message.contains("No enum");
        return page(
                request,
                HttpStatus.UNPROCESSABLE_CONTENT,
                ours ? "Something that was sent cannot be" : "That cannot be: " + shortened(message),
                UNCHANGED,
                "Correct it and send it again.");
    }

    private static String shortened(String text) {
        String plain = Texts.cleaned(text);
        return plain.length() <= 300 ? plain : plain.substring(0, 300) + "…";
    }

    @ExceptionHandler(BindException.class)
    ModelAndView unbound(BindException e, HttpServletRequest request) {
        FieldError field = e.getFieldError();
        String what = field == null
                ? "Something on the form could not be read"
                : "“" + shortened(String.valueOf(field.getRejectedValue())) + "” in the field "
                        + plain(field.getField()) + " could not be read";
        return page(request, HttpStatus.UNPROCESSABLE_CONTENT, what, UNCHANGED, "Correct the field and send it again.");
    }

    @ExceptionHandler(TypeMismatchException.class)
    ModelAndView mismatch(TypeMismatchException e, HttpServletRequest request) {
        return page(
                request,
                HttpStatus.UNPROCESSABLE_CONTENT,
                "“" + shortened(String.valueOf(e.getValue())) + "” in the field "
                        + plain(String.valueOf(e.getPropertyName())) + " could not be read",
                UNCHANGED,
                "Correct the field and send it again.");
    }

    @ExceptionHandler({MissingServletRequestParameterException.class, MissingServletRequestPartException.class})
    ModelAndView missing(Exception e, HttpServletRequest request) {
        return page(
                request,
                HttpStatus.UNPROCESSABLE_CONTENT,
                "The form came without something it needs",
                UNCHANGED,
                "Go back, reload the page and send it again.");
    }

    @ExceptionHandler({
        NoHandlerFoundException.class,
        NoResourceFoundException.class,
        HttpRequestMethodNotSupportedException.class,
        RequestRejectedException.class
    })
    ModelAndView nowhere(Exception e, HttpServletRequest request) {
        return page(
                request,
                e instanceof HttpRequestMethodNotSupportedException
                        ? HttpStatus.METHOD_NOT_ALLOWED
                        : HttpStatus.NOT_FOUND,
                "There is no such page",
                UNCHANGED,
                "Go back to today and start from there.");
    }

    /** Whoever asked is gone; there is nobody to tell. */
    @ExceptionHandler({AsyncRequestNotUsableException.class, AsyncRequestTimeoutException.class})
    void gone(Exception e) {
        LOG.debug("nobody waits for the answer any more", e);
    }

    @ExceptionHandler(OutOfMemoryError.class)
    ModelAndView tooMuch(OutOfMemoryError e, HttpServletRequest request) {
        LOG.warn("{} {} needed more memory than there is", request.getMethod(), request.getRequestURI());
        return page(
                request,
                HttpStatus.INSUFFICIENT_STORAGE,
                "This needs more memory than Escrel has just now",
                UNCHANGED,
                "Send a smaller file, or one at a time.");
    }

    @ExceptionHandler(Exception.class)
    ModelAndView ours(Exception e, HttpServletRequest request) {
        Optional<String> room = noRoom(e).or(() -> isRead(request) ? Optional.empty() : refused(e));
        if (room.isPresent()) {
            LOG.warn("{} {}: {}", request.getMethod(), request.getRequestURI(), room.get());
            return page(
                    request,
                    HttpStatus.INSUFFICIENT_STORAGE,
                    "Nothing can be recorded: " + room.get(),
                    "Every step recorded before is kept, and can be looked at; this one was not recorded.",
                    "See whether there is room on the disk and who may write there, and send it again; there is no need to"
                            + " start Escrel anew.");
        }
        LOG.error("{} {} failed", request.getMethod(), request.getRequestURI(), e);
        return page(
                request,
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong inside Escrel",
                request.getMethod().equals("GET")
                        ? UNCHANGED
                        : "Every step recorded before is kept; the page, once reloaded, shows whether this one was recorded.",
                "Reload the page and look. If it comes back, the log in the terminal says more.");
    }

    private static Optional<String> noRoom(Throwable e) {
        for (Throwable cause = e; cause != null; cause = cause.getCause()) {
            if (cause instanceof NoRoomException) {
                return Optional.of(String.valueOf(cause.getMessage()));
            }
        }
        return Disk.isFull(e) ? Optional.of("the disk is full") : Optional.empty();
    }

    private static boolean isRead(HttpServletRequest request) {
        return request.getMethod().equals("GET") || request.getMethod().equals("HEAD");
    }

    /** A folder that may not be written, a file where a folder should be, a disk that has gone read-only. */
    private static Optional<String> refused(Throwable e) {
        return Stream.iterate(e, Objects::nonNull, Throwable::getCause)
                .filter(FileSystemException.class::isInstance)
                .findFirst()
                .map(refused -> "the folder of Escrel refuses: " + Disk.words((FileSystemException) refused));
    }

    private static String plain(String field) {
        return field.replaceAll("([A-Z])", " $1").toLowerCase();
    }

    private static ModelAndView page(
            HttpServletRequest request, HttpStatus status, String happened, String safe, String todo) {
        boolean part = request.getHeader("HX-Request") != null;
        ModelAndView page = new ModelAndView(part ? "trouble :: message" : "trouble");
        page.setStatus(status);
        page.addObject("theme", Theme.of(request));
        page.addObject("happened", happened);
        page.addObject("safe", safe);
        page.addObject("todo", todo);
        return page;
    }
}
