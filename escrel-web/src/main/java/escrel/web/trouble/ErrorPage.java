package escrel.web.trouble;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What is shown when not even a page about trouble could be made; always in words, whoever asks. */
@Controller
class ErrorPage implements ErrorController {
    @RequestMapping("/error")
    String error(HttpServletRequest request, HttpServletResponse response) {
        Object status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        response.setStatus(status instanceof Integer code ? code : HttpServletResponse.SC_NOT_FOUND);
        return "error";
    }
}
