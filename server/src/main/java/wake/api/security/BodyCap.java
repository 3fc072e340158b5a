package wake.api.security;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.filter.OncePerRequestFilter;
import wake.api.TooLarge;

/** Reads no more of a request than its kind may have: documents a few megabytes, pieces of a recording more, a backup as much as it is. */
final class BodyCap extends OncePerRequestFilter {
    private static final long DOCUMENT = 9L << 20;
    /** A form is a passphrase. */
    private static final long FORM = 64L << 10;

    private static final long PIECE = 33L << 20;
    private static final long TAKEN_IN = 33L << 20;

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        long most = isForm(request) ? FORM : most(request.getRequestURI());
        if (isForm(request) && request.getContentLengthLong() < 0) {
            Refusals.write(response, HttpStatus.LENGTH_REQUIRED, "The form has no length.");
            return;
        }
        if (request.getContentLengthLong() > most) {
            Refusals.write(response, HttpStatus.CONTENT_TOO_LARGE, String.valueOf(new TooLarge(most).getMessage()));
            return;
        }
        chain.doFilter(new Capped(request, most), response);
    }

    private static boolean isForm(HttpServletRequest request) {
        String type = request.getContentType();
        return type != null && type.startsWith(MediaType.APPLICATION_FORM_URLENCODED_VALUE);
    }

    private static long most(String path) {
        if (path.equals("/api/data/restore")) {
            return Long.MAX_VALUE;
        }
        if (path.equals("/api/data/import")) {
            return TAKEN_IN;
        }
        return path.endsWith("/upload") ? PIECE : DOCUMENT;
    }

    private static final class Capped extends HttpServletRequestWrapper {
        private final long most;

        Capped(HttpServletRequest request, long most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new CappedStream(super.getInputStream(), most);
        }
    }

    private static final class CappedStream extends ServletInputStream {
        private final ServletInputStream in;
        private final long most;
        private long left;

        CappedStream(ServletInputStream in, long most) {
            this.in = in;
            this.most = most;
            this.left = most;
        }

        private int counted(int read) throws IOException {
            left -= Math.max(0, read);
            if (left < 0) {
                throw new TooLarge(most);
            }
            return read;
        }

        @Override
        public int read() throws IOException {
            int one = in.read();
            counted(one < 0 ? 0 : 1);
            return one;
        }

        @Override
        public int read(byte[] into, int offset, int length) throws IOException {
            return counted(in.read(into, offset, length));
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
