package wake.api.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;
import wake.api.Quiet;
import wake.store.DatabaseHealth;
import wake.store.DatabaseHealth.Trouble;

/** While nothing can be kept, says so at once instead of trying. */
final class WhileUnwell extends OncePerRequestFilter {
    /** Questions too long for an address. */
    private static final Pattern KEEPS_NOTHING = Pattern.compile("/(check|figures|try|readings?|projections?)$");

    private final DatabaseHealth health;
    private final List<Quiet> quiets;

    WhileUnwell(DatabaseHealth health, List<Quiet> quiets) {
        this.health = health;
        this.quiets = quiets;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (!request.getRequestURI().startsWith("/api")) {
            chain.doFilter(request, response);
            return;
        }
        String path = request.getRequestURI();
        Optional<String> quiet =
                quiets.stream().map(Quiet::why).flatMap(Optional::stream).findFirst();
        if (quiet.isPresent() && !path.startsWith("/api/data/restore") && !path.startsWith("/api/ready")) {
            Refusals.write(response, HttpStatus.SERVICE_UNAVAILABLE, quiet.get());
            return;
        }
        boolean frees =
                request.getMethod().equals("DELETE") && request.getRequestURI().startsWith("/api/bin");
        boolean reads = request.getMethod().equals("GET")
                || request.getMethod().equals("HEAD")
                || KEEPS_NOTHING.matcher(path).find();
        Optional<Trouble> trouble = reads || frees ? health.trouble() : health.beforeWriting();
        if (trouble.isEmpty()) {
            chain.doFilter(request, response);
            return;
        }
        HttpStatus status =
                trouble.get() == Trouble.DISK_FULL ? HttpStatus.INSUFFICIENT_STORAGE : HttpStatus.SERVICE_UNAVAILABLE;
        Refusals.write(response, status, trouble.get().words());
    }
}
