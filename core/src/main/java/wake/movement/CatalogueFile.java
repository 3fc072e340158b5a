package wake.movement;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.yaml.snakeyaml.LoaderOptions;
import org.yaml.snakeyaml.Yaml;
import org.yaml.snakeyaml.constructor.SafeConstructor;
import wake.units.Unit;

/**
 * Reads the catalogue that ships with Wake, {@code movements.yaml}; its schema is {@code movements.schema.json} beside it.
 *
 * <p>The one class of the core that opens a resource: the file is part of the code, not input.
 */
public final class CatalogueFile {
    private static final Catalogue SHIPPED = parse(resource("/wake/movements.yaml"));

    private CatalogueFile() {}

    /** The catalogue that ships with Wake. */
    public static Catalogue shipped() {
        return SHIPPED;
    }

    /**
     * Reads a catalogue text.
     *
     * @throws IllegalArgumentException naming the movement and the field that does not fit
     */
    public static Catalogue parse(String yaml) {
        Object root = new Yaml(new SafeConstructor(new LoaderOptions())).load(yaml);
        if (!(root instanceof Map<?, ?> map) || !(map.get("movements") instanceof List<?> list)) {
            throw new IllegalArgumentException("\"movements\" must be a list");
        }
        return new Catalogue(list.stream().map(CatalogueFile::movement).toList());
    }

    private static Movement movement(Object entry) {
        if (!(entry instanceof Map<?, ?> fields)) {
            throw new IllegalArgumentException("A movement has fields, not " + entry);
        }
        String name = text(fields, "name").orElseThrow(() -> new IllegalArgumentException("A movement has no name"));
        try {
            List<?> pace = (List<?>) required(fields, "pace", name);
            return new Movement(
                    name,
                    strings(fields.get("aliases")),
                    Modality.valueOf(upper(required(fields, "modality", name))),
                    loads(strings(fields.get("loads"))),
                    Unit.ofSymbol(text(fields, "unit").orElse("rep")).orElseThrow(),
                    Position.valueOf(upper(required(fields, "starts", name))),
                    Position.valueOf(upper(required(fields, "ends", name))),
                    ((Number) pace.get(0)).doubleValue(),
                    ((Number) pace.get(1)).doubleValue(),
                    (String) required(fields, "good", name),
                    text(fields, "caution"),
                    strings(fields.get("of")),
                    (String) required(fields, "figure", name));
        } catch (RuntimeException unfit) {
            throw new IllegalArgumentException("Movement \"" + name + "\": " + unfit.getMessage(), unfit);
        }
    }

    private static Object required(Map<?, ?> fields, String field, String name) {
        Object value = fields.get(field);
        if (value == null) {
            throw new IllegalArgumentException("\"" + name + "\" lacks \"" + field + "\"");
        }
        return value;
    }

    private static Optional<String> text(Map<?, ?> fields, String field) {
        return Optional.ofNullable(fields.get(field)).map(Object::toString);
    }

    private static List<String> strings(@org.jspecify.annotations.Nullable Object value) {
        return value instanceof List<?> list
                ? list.stream().map(Object::toString).toList()
                : List.of();
    }

    private static Set<Loads> loads(List<String> names) {
        Set<Loads> loads = EnumSet.noneOf(Loads.class);
        names.forEach(name -> loads.add(Loads.valueOf(upper(name))));
        return loads;
    }

    private static String upper(Object value) {
        return value.toString().toUpperCase(Locale.ROOT).replace('-', '_');
    }

    private static String resource(String path) {
        try (InputStream stream = CatalogueFile.class.getResourceAsStream(path)) {
            if (stream == null) {
                throw new IllegalStateException("The application ships without " + path);
            }
            return new String(stream.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }
}
