package wake.review.portable;

import org.jspecify.annotations.Nullable;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.core.exc.StreamConstraintsException;
import tools.jackson.core.util.JsonParserDelegate;

/** A parser that stops where a part of a file has more in it than such a part can have. */
final class CountingParser extends JsonParserDelegate {
    private long allowed = Long.MAX_VALUE;
    private long begun;

    /** @param counting a parser that counts its tokens, as one with a limit of them does */
    CountingParser(JsonParser counting) {
        super(counting);
    }

    /** Reads so many tokens from here, and no more. */
    void allow(long tokens) {
        begun = delegate.currentTokenCount();
        allowed = tokens;
    }

    /** How many have been read since. */
    long read() {
        return delegate.currentTokenCount() - begun;
    }

    private void count() {
        if (read() > allowed) {
            throw new StreamConstraintsException("More than " + allowed + " values in one part");
        }
    }

    @Override
    public @Nullable JsonToken nextToken() {
        count();
        return super.nextToken();
    }

    @Override
    public @Nullable String nextName() {
        count();
        return super.nextName();
    }
}
