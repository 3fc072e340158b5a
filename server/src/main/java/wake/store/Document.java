package wake.store;

import wake.units.InvalidInput;

/**
 * A JSON document as it is kept.
 *
 * @param schemaVersion which shape it has, from 1
 * @param json its text
 */
public record Document(int schemaVersion, String json) {
    /** No document: what was there has been taken back. */
    static final Document NONE = new Document(0, "");

    private static final int LONGEST = 200_000;

    public Document {
        checkLength(json, LONGEST);
    }

    /**
     * Refuses what would not fit its column. The database would not: where it adds or changes in one statement it cuts what is too long, without
     * a word.
     */
    static String checkLength(String json, int longest) {
        if (json.length() > longest) {
            throw new InvalidInput("This is too long to save: " + json.length() + " characters, at most " + longest);
        }
        return json;
    }
}
