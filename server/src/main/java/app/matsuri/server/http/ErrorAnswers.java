package app.matsuri.server.http;

import io.swagger.v3.oas.annotations.Hidden;
import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;

/** What the servlet container found wrong, as a problem like any other, without anything of the inside. */
@Hidden
@Controller
class ErrorAnswers implements ErrorController {

    @RequestMapping("/error")
    void answer(HttpServletRequest request, HttpServletResponse response) throws IOException {
        HttpStatus status = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE) instanceof Integer code
                        && HttpStatus.resolve(code) != null
                ? HttpStatus.valueOf(code)
                : HttpStatus.NOT_FOUND;
        String type = status == HttpStatus.NOT_FOUND ? "nothing-here" : "request-refused";
        String detail = status == HttpStatus.NOT_FOUND
                ? "There is nothing at this address."
                : status.is5xxServerError()
                        ? "This should not have happened; it is in the server's log. Nothing was stored by halves. Try again."
                        : "The request is not in a form that is read here.";
        Refusal.write(response, status, type, status.getReasonPhrase(), detail);
    }
}
