package wake.words;

import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.stream.Collectors;
import wake.log.PaceFormat;
import wake.projection.BreakOneEarly;
import wake.projection.CapRests;
import wake.projection.CapSplits;
import wake.projection.CapTransitions;
import wake.projection.Change;
import wake.projection.ChangeSets;
import wake.projection.DropFaults;
import wake.projection.EarlierPush;
import wake.projection.ErgPace;
import wake.projection.EveryRoundOn;
import wake.projection.FasterBy;
import wake.projection.FinishKick;
import wake.projection.HoldCadence;
import wake.projection.HoldRests;
import wake.projection.OneEvery;
import wake.projection.RestBefore;
import wake.projection.Scope;
import wake.projection.SkipPause;
import wake.projection.SpreadEvenly;
import wake.projection.Targets;
import wake.units.ClockTime;
import wake.units.Digits;
import wake.units.Messages;
import wake.units.Unit;
import wake.workout.ExpandedWorkout;
import wake.workout.Segment;

/** The changes of a retest as a coach would write them. */
public record ChangeWords(ExpandedWorkout expanded) {
    /** What a change is called, whatever its target. */
    public static String title(Change change) {
        return switch (change) {
            case BreakOneEarly early -> "Break " + early.movement() + " one rep earlier";
            case CapRests rests -> "Cap rests" + rests.scope().movement("on") + places(rests);
            case CapSplits splits ->
                splits.scope().movement().isEmpty()
                        ? "No slow rounds" + places(splits)
                        : "Faster " + splits.scope().movement() + " splits" + places(splits);
            case CapTransitions transitions ->
                "Faster transitions" + transitions.scope().movement("to") + places(transitions);
            case ChangeSets sets -> "Change " + sets.scope().movement() + " sets" + places(sets);
            case DropFaults faults ->
                (faults.most() == 0 ? "No" : "Fewer") + " no-reps, failed reps or trips"
                        + faults.scope().movement("on") + places(faults);
            case EarlierPush push -> "Push of " + ClockTime.of(push.atMs()).toSeconds() + " earlier";
            case ErgPace pace -> "Even pace on " + pace.scope().movement() + places(pace);
            case EveryRoundOn rounds -> "Even round splits" + places(rounds);
            case FinishKick kick ->
                "Finish kick from " + ClockTime.of(kick.fromMs()).toSeconds();
            case HoldCadence rate -> "Hold the rate" + rate.scope().movement("on") + places(rate);
            case HoldRests rests ->
                "Keep "
                        + (rests.scope().movement().isEmpty()
                                ? ""
                                : rests.scope().movement() + " ") + "rests as short as in the first rounds"
                        + places(rests);
            case OneEvery every -> "Steady " + movement(every.scope()) + " rhythm" + places(every);
            case FasterBy faster -> "Speed up every " + movement(faster.scope()) + places(faster);
            case RestBefore rest -> "Rest before " + movement(rest.scope()) + places(rest);
            case SkipPause stop ->
                "Drop the long stop at " + ClockTime.of(stop.atMs()).toSeconds();
            case SpreadEvenly even -> "Slower start, even pace";
        };
    }

    /** What a change alters, and to what. */
    public String text(Change change) {
        return switch (change) {
            case BreakOneEarly early ->
                "Break " + early.movement() + " one rep earlier and skip the " + Digits.TENTHS.span(early.pickUpMs())
                        + " pick-up";
            case CapRests rests ->
                "Cap rests" + rests.scope().movement("on") + " at " + spans(rests.seconds()) + places(rests);
            case CapSplits splits ->
                (splits.scope().movement().isEmpty()
                                ? "No round over "
                                : "No " + splits.scope().movement() + " split over ")
                        + clocks(splits.seconds())
                        + places(splits);
            case CapTransitions transitions ->
                "Cap transitions" + transitions.scope().movement("to") + " at " + spans(transitions.seconds())
                        + places(transitions);
            case ChangeSets sets ->
                Messages.capital(sets.scope().movement()) + " in " + sets.sets().written() + places(sets);
            case DropFaults faults ->
                faults.most() == 0
                        ? title(faults)
                        : "At most " + faults.most() + (faults.most() == 1 ? " set" : " sets")
                                + " with a no-rep, failed rep or trip"
                                + faults.scope().movement("on") + places(faults) + " (the costliest)";
            case EarlierPush push ->
                "Push from "
                        + ClockTime.of(Math.max(0, push.atMs() - Math.round(1000 * push.seconds())))
                                .toSeconds()
                        + " instead of " + ClockTime.of(push.atMs()).toSeconds();
            case ErgPace pace ->
                Messages.capital(pace.scope().movement()) + " at " + paces(pace.scope(), pace.secondsPerUnit())
                        + " all the way" + places(pace);
            case EveryRoundOn rounds -> "Every round in " + clocks(rounds.seconds()) + places(rounds);
            case FinishKick kick ->
                Messages.of(
                        kick.percent() % 1 == 0 ? "From %s: %.0f%% faster" : "From %s: %.1f%% faster",
                        ClockTime.of(kick.fromMs()).toSeconds(),
                        kick.percent());
            case HoldCadence rate ->
                Messages.capital(rate.scope().movement()) + ": never slower than "
                        + paces(rate.scope(), rate.secondsPerUnit()) + places(rate);
            case HoldRests rests -> title(rests);
            case OneEvery every ->
                "One " + movement(every.scope()) + " every " + every.seconds().written(1) + " s, rests included"
                        + places(every);
            case FasterBy faster ->
                Messages.capital(movement(faster.scope())) + ": "
                        + faster.secondsPerUnit().written(2) + " s/" + unit(faster.scope()) + " faster"
                        + places(faster);
            case RestBefore rest ->
                "At least " + spans(rest.seconds()) + " before each " + movement(rest.scope()) + places(rest);
            case SkipPause stop ->
                "Cut the stop at " + ClockTime.of(stop.atMs()).toSeconds() + " to "
                        + Digits.TENTHS.span(stop.targetMs());
            case SpreadEvenly even -> Messages.of("Even pace for the same effort (speed penalty %.1f)", even.alpha());
        };
    }

    private static String places(Change change) {
        return change.scope().places();
    }

    private static String movement(Scope scope) {
        return scope.movement().isEmpty() ? "rep" : scope.movement();
    }

    private static String each(Targets targets, DoubleFunction<String> words) {
        return targets.each().stream().map(words::apply).collect(Collectors.joining(", "));
    }

    /** "1:05", "0:59.5"; of several all of them. */
    private static String clocks(Targets seconds) {
        return each(seconds, one -> {
            ClockTime time = ClockTime.of(Math.round(1000 * one));
            return one % 1 == 0 ? time.toSeconds() : time.toTenths();
        });
    }

    private static String spans(Targets seconds) {
        return seconds.each().size() == 1
                ? Digits.TENTHS.span(Math.round(1000 * seconds.first()))
                : seconds.written(1) + " s";
    }

    /** Targets as the paces and rep rates of the movement they are for. */
    private String paces(Scope scope, Targets secondsPerUnit) {
        return first(scope)
                .map(segment -> each(secondsPerUnit, one -> PaceFormat.exact(segment, one)))
                .orElseGet(() -> secondsPerUnit.written(2) + " s each");
    }

    private String unit(Scope scope) {
        return first(scope)
                .map(segment -> segment.amount().unit())
                .map(unit -> unit == Unit.REP ? "rep" : unit.symbol())
                .orElse("rep");
    }

    private Optional<Segment> first(Scope scope) {
        return expanded.segments().stream()
                .filter(segment -> segment.movement().name().equals(scope.movement()))
                .findFirst();
    }
}
