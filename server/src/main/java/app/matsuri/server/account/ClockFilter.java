package app.matsuri.server.account;

import app.matsuri.core.calendar.Say;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.util.WebUtils;

/** Says times as who asks reads them. */
@Component
class ClockFilter extends OncePerRequestFilter {

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        Cookie clock = WebUtils.getCookie(request, Preferences.CLOCK);
        Say.twelveHours(clock != null && clock.getValue().equals("12"));
        try {
            chain.doFilter(request, response);
        } finally {
            Say.twelveHours(false);
        }
    }
}
