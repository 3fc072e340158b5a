package wake.store;

/**
 * A JSON document as it is kept.
 *
 * @param schemaVersion which shape it has, from 1
 * @param json its text
 */
public record Document(int schemaVersion, String json) {
    /** No document: what was there has been taken back. */
    static final Document NONE = new Document(0, "");
}
