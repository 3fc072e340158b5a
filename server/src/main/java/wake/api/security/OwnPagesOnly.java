package wake.api.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Lets no page of another site write, nor look into the API. A browser says from which site a request comes (Sec-Fetch-Site, Origin); a script
 * on this machine says neither and may.
 */
final class OwnPagesOnly extends OncePerRequestFilter {
    private static final Set<String> READS = Set.of("GET", "HEAD", "OPTIONS");
    private static final Set<String> OURS = Set.of("same-origin", "none");

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        String site = request.getHeader("Sec-Fetch-Site");
        String origin = request.getHeader("Origin");
        boolean reads = READS.contains(request.getMethod());
        boolean api = request.getRequestURI().startsWith("/api");
        boolean foreign = (site != null && !OURS.contains(site)) || (origin != null && !isOurs(origin, request));
        if (foreign && (!reads || api)) {
            Refusals.write(response, HttpStatus.FORBIDDEN, "Requests from other sites are refused.");
            return;
        }
        chain.doFilter(request, response);
    }

    private static boolean isOurs(String origin, HttpServletRequest request) {
        @Nullable String host = request.getHeader("Host");
        try {
            return URI.create(origin).getRawAuthority() != null
                    && URI.create(origin).getRawAuthority().equalsIgnoreCase(host);
        } catch (IllegalArgumentException none) {
            return false;
        }
    }
}
