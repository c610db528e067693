package app.matsuri.server.page;

import jakarta.servlet.http.HttpServletRequest;
import java.util.Locale;
import org.springframework.stereotype.Component;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.servlet.i18n.AcceptHeaderLocaleResolver;

/** The language of an answer: that of the course where it is a page of one, else what the reader's browser asks for. */
@Component("localeResolver")
class PageLocale extends AcceptHeaderLocaleResolver {

    private static final String OF_COURSE = PageLocale.class.getName();

    /** From here on, what this request is answered with is in a language. */
    static void set(Locale locale) {
        RequestContextHolder.currentRequestAttributes()
                .setAttribute(OF_COURSE, locale, RequestAttributes.SCOPE_REQUEST);
    }

    @Override
    public Locale resolveLocale(HttpServletRequest request) {
        return request.getAttribute(OF_COURSE) instanceof Locale locale ? locale : super.resolveLocale(request);
    }
}
