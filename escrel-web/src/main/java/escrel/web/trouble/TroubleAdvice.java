package escrel.web.trouble;

import escrel.core.MendableException;
import escrel.web.job.NoSuchJobException;
import escrel.web.job.RecordedElsewhereException;
import jakarta.servlet.http.HttpServletRequest;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.TypeMismatchException;
import org.springframework.http.HttpStatus;
import org.springframework.validation.BindException;
import org.springframework.validation.FieldError;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.support.MissingServletRequestPartException;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.resource.NoResourceFoundException;

/** Turns exceptions into a plain page, or into a fragment where a part of a page was asked for. */
@ControllerAdvice
class TroubleAdvice {
    private static final Logger LOG = LoggerFactory.getLogger(TroubleAdvice.class);
    private static final String UNCHANGED = "Nothing was recorded or changed.";

    @ExceptionHandler(MendableException.class)
    ModelAndView mendable(MendableException e, HttpServletRequest request) {
        HttpStatus status = e instanceof NoSuchJobException
                ? HttpStatus.NOT_FOUND
                : e instanceof RecordedElsewhereException ? HttpStatus.CONFLICT : HttpStatus.UNPROCESSABLE_CONTENT;
        return page(request, status, e.whatHappened(), e.whatIsSafe(), e.whatToDo());
    }

    @ExceptionHandler(MaxUploadSizeExceededException.class)
    ModelAndView tooLarge(MaxUploadSizeExceededException e, HttpServletRequest request) {
        return page(
                request,
                HttpStatus.CONTENT_TOO_LARGE,
                "The file is larger than 64 MB",
                UNCHANGED,
                "Take a shorter recording (a minute is plenty) or a smaller picture.");
    }

    @ExceptionHandler(BindException.class)
    ModelAndView unbound(BindException e, HttpServletRequest request) {
        FieldError field = e.getFieldError();
        String what = field == null
                ? "Something on the form could not be read"
                : "“" + field.getRejectedValue() + "” in the field " + plain(field.getField()) + " could not be read";
        return page(request, HttpStatus.UNPROCESSABLE_CONTENT, what, UNCHANGED, "Correct the field and send it again.");
    }

    @ExceptionHandler(TypeMismatchException.class)
    ModelAndView mismatch(TypeMismatchException e, HttpServletRequest request) {
        return page(
                request,
                HttpStatus.UNPROCESSABLE_CONTENT,
                "“" + e.getValue() + "” in the field " + plain(String.valueOf(e.getPropertyName()))
                        + " could not be read",
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

    @ExceptionHandler({NoResourceFoundException.class, HttpRequestMethodNotSupportedException.class})
    ModelAndView nowhere(Exception e, HttpServletRequest request) {
        return page(
                request,
                HttpStatus.NOT_FOUND,
                "There is no such page",
                UNCHANGED,
                "Go back to today and start from there.");
    }

    @ExceptionHandler(Exception.class)
    ModelAndView ours(Exception e, HttpServletRequest request) {
        LOG.error("{} {} failed", request.getMethod(), request.getRequestURI(), e);
        return page(
                request,
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong inside Escrel",
                "Every step recorded before is kept; this one was not recorded.",
                "Reload the page and try again. If it comes back, the log in the terminal says more.");
    }

    private static String plain(String field) {
        return field.replaceAll("([A-Z])", " $1").toLowerCase();
    }

    private static ModelAndView page(
            HttpServletRequest request, HttpStatus status, String happened, String safe, String todo) {
        boolean part = request.getHeader("HX-Request") != null;
        ModelAndView page = new ModelAndView(part ? "trouble :: message" : "trouble");
        page.setStatus(status);
        page.addObject("happened", happened);
        page.addObject("safe", safe);
        page.addObject("todo", todo);
        return page;
    }
}
