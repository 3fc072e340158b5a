package wake.workout;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import wake.movement.Catalogue;
import wake.movement.Movement;
import wake.units.Quantity;
import wake.units.Unit;
import wake.workout.Lap.Block;
import wake.workout.Segment.Role;
import wake.workout.Workout.FreeOrder;
import wake.workout.Workout.MovementLine;
import wake.workout.Workout.Node;
import wake.workout.Workout.Once;
import wake.workout.Workout.Remark;
import wake.workout.Workout.Repeat;
import wake.workout.Workout.Rest;
import wake.workout.Workout.Rounds;
import wake.workout.Workout.StagedCap;
import wake.workout.Workout.TieBreak;
import wake.workout.Workout.When;

/** Turns the lines of a part into segments for one division. */
record Expansion(Naming naming, int division, Catalogue catalogue, int partition, Limit limit) {
    /** What is carried along on the way, and how much is expanded at most: segments, and lines and rounds looked at on the way, so that rounds of nothing end as well. */
    static final class Limit {
        static final int SEGMENTS = 5_000;
        static final int LOOKED = 40 * SEGMENTS;
        private int left = LOOKED;
        private boolean exceeded;
        /** The rest that the next segment stands behind; of several in a row all of them. */
        private long restMs;

        void rest(long ms) {
            restMs += ms;
        }

        long takeRest() {
            long rest = restMs;
            restMs = 0;
            return rest;
        }

        boolean allows(List<Segment> into) {
            boolean allowed = into.size() < SEGMENTS && left-- > 0;
            exceeded |= !allowed;
            return allowed;
        }

        /** Whether there was more to expand than is allowed. */
        boolean exceeded() {
            return exceeded;
        }
    }

    Movement movement(MovementLine line) {
        String name = line.movement().in(division);
        return catalogue.resolve(name, line.unit(division));
    }

    /** How many pieces a distance is cut into; the last may be shorter. */
    static long pieces(BigDecimal whole, BigDecimal piece) {
        return whole.divide(piece, 0, RoundingMode.UP).longValue();
    }

    /** The lines of interval work that take turns, where they do. */
    static List<Node> turns(List<Node> body) {
        return body.stream()
                .filter(node -> !(node instanceof Remark || node instanceof Once))
                .toList();
    }

    Walk into(List<Segment> segments) {
        return new Walk(this, segments, 0);
    }

    /**
     * Where a line stands.
     *
     * @param path the laps around it, outermost first
     * @param inner round of the innermost block: what lists and steps count
     */
    private record Place(List<Lap> path, int inner, Role role) {
        static final Place TOP = new Place(List.of(), 1, Role.MAIN);

        Place lap(Block block, int number, int of) {
            List<Lap> longer = new ArrayList<>(path);
            longer.add(new Lap(block, number, of));
            return new Place(longer, number, role);
        }

        /** A piece of what a line asks for here: its lists go on counting the rounds around it. */
        Place piece(Block block, int number, int of) {
            return new Place(lap(block, number, of).path(), inner, role);
        }

        Place as(Role other) {
            return new Place(path, inner, other);
        }
    }

    /** One walk through a body, adding to a list whose first place has some index. */
    record Walk(Expansion of, List<Segment> into, int firstIndex) {
        /** Decimals an amount is written with at most. */
        private static final int DIGITS = 3;

        void once(List<Node> body, When when) {
            for (Node node : body) {
                if (node instanceof Once once && once.when() == when) {
                    walk(once.body(), Place.TOP.as(when == When.BUY_IN ? Role.BUY_IN : Role.CASH_OUT));
                }
            }
        }

        /** Everything but what is done once, or repeated until the buzzer. */
        void nodes(List<Node> body) {
            walk(body, Place.TOP);
        }

        void intervals(List<Node> body, Format.Every every) {
            List<Node> turns = turns(body);
            for (int interval = 1; interval <= every.times(); interval++) {
                Place place = Place.TOP.lap(of.naming().whole(), interval, every.times());
                // What is left of the interval before is the rest.
                of.limit().takeRest();
                walk(every.inTurn() ? List.of(turns.get((interval - 1) % turns.size())) : turns, place);
            }
        }

        void openRound(Block block, List<Node> body, int round, int after) {
            new Walk(of, into, after).walk(body, Place.TOP.lap(block, round, 0));
        }

        private void walk(List<Node> nodes, Place place) {
            for (Node node : nodes) {
                if (!of.limit().allows(into)) {
                    return;
                }
                switch (node) {
                    case MovementLine line -> {
                        BigDecimal amount = amount(line, place);
                        if (amount.signum() > 0) {
                            line(line, place, amount);
                        }
                    }
                    case Rest rest -> of.limit().rest(rest.ms());
                    case Rounds rounds -> {
                        int count = rounds.count().at(place.inner()).intValue();
                        for (int round = 1; round <= count && of.limit().allows(into); round++) {
                            walk(rounds.body(), place.lap(of.naming().block(rounds), round, count));
                        }
                    }
                    case FreeOrder free -> cut(free, place);
                    case Repeat repeat -> {}
                    case Once once -> {}
                    case StagedCap cap -> {}
                    case TieBreak tieBreak -> {}
                    case Remark remark -> {}
                }
            }
        }

        /** What may be done in any order, cut into rounds as the athlete chose; what does not divide goes to the first rounds. */
        private void cut(FreeOrder free, Place place) {
            int parts = of.partition();
            for (int round = 1; round <= parts && of.limit().allows(into); round++) {
                Place within = parts == 1 ? place : place.lap(of.naming().block(free), round, parts);
                for (Node node : free.body()) {
                    if (node instanceof MovementLine line) {
                        BigDecimal whole = amount(line, parts == 1 ? within : Place.TOP);
                        BigDecimal amount =
                                parts == 1 ? whole : share(whole, line.unit(of.division()), round - 1, parts);
                        if (amount.signum() > 0 && of.limit().allows(into)) {
                            into.add(segment(line, within, amount));
                        }
                    }
                }
            }
        }

        private void line(MovementLine line, Place place, BigDecimal amount) {
            BigDecimal piece = line.piece().orElse(amount);
            int pieces = (int) pieces(amount, piece);
            for (int i = 0; i < pieces && of.limit().allows(into); i++) {
                Place within = pieces == 1 ? place : place.piece(of.naming().pieces(line), i + 1, pieces);
                BigDecimal left = amount.subtract(piece.multiply(BigDecimal.valueOf(i)));
                into.add(segment(line, within, piece.min(left)));
            }
        }

        private BigDecimal amount(MovementLine line, Place place) {
            return line.amount().in(of.division()).at(place.inner()).min(LineReader.MOST);
        }

        private Segment segment(MovementLine line, Place place, BigDecimal amount) {
            Movement movement = of.movement(line);
            List<Quantity> loads = line.loads().stream()
                    .flatMap(load -> Collections.nCopies(load.times(), load.in(of.division(), place.inner())).stream())
                    .toList();
            return new Segment(
                    firstIndex + into.size(),
                    of.naming().line(line),
                    place.path(),
                    place.role(),
                    movement,
                    new Quantity(amount, line.unit(of.division())),
                    line.sides(),
                    line.counting(),
                    loads,
                    of.limit().takeRest());
        }

        /** A share of an amount: whole reps, calories, metres and feet; of what is written with decimals, or in kilometres and miles, thousandths. */
        private static BigDecimal share(BigDecimal whole, Unit unit, int share, int shares) {
            boolean large = unit == Unit.KILOMETRE || unit == Unit.MILE;
            int digits = large || whole.stripTrailingZeros().scale() > 0 ? DIGITS : 0;
            long all = whole.movePointRight(digits).longValueExact();
            long own = all / shares + (share < all % shares ? 1 : 0);
            BigDecimal amount = BigDecimal.valueOf(own, digits).stripTrailingZeros();
            return amount.scale() < 0 ? amount.setScale(0) : amount;
        }
    }
}
