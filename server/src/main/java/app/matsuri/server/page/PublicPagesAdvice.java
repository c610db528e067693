package app.matsuri.server.page;

import app.matsuri.core.change.NoSuch;
import jakarta.servlet.http.HttpServletRequest;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;
import org.springframework.http.HttpStatus;
import org.springframework.ui.Model;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;

/** What all pages of links have: their style, and one plain page for whatever shows nothing. */
@ControllerAdvice(annotations = PublicPage.class)
@Order(Ordered.HIGHEST_PRECEDENCE)
class PublicPagesAdvice {

    private final Style style;
    private final Guesses guesses;

    PublicPagesAdvice(Style style, Guesses guesses) {
        this.style = style;
        this.guesses = guesses;
    }

    @ModelAttribute("style")
    String style(HttpServletRequest request) {
        if (guesses.tooMany(request.getRemoteAddr())) {
            throw new TooManyGuesses();
        }
        return style.address();
    }

    @ExceptionHandler({
        NothingHere.class,
        NoSuch.class,
        MethodArgumentTypeMismatchException.class,
        MissingServletRequestParameterException.class
    })
    @ResponseStatus(HttpStatus.NOT_FOUND)
    String nothing(HttpServletRequest request, Model model) {
        guesses.wrong(request.getRemoteAddr());
        model.addAttribute("style", style.address());
        model.addAttribute("many", false);
        return "nothing";
    }

    @ExceptionHandler(TooManyGuesses.class)
    @ResponseStatus(HttpStatus.TOO_MANY_REQUESTS)
    String many(Model model) {
        model.addAttribute("style", style.address());
        model.addAttribute("many", true);
        return "nothing";
    }

    /** Too many addresses that show nothing were asked for from one place. */
    private static final class TooManyGuesses extends RuntimeException {

        private static final long serialVersionUID = 1L;
    }
}
