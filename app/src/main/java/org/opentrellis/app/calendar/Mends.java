package org.opentrellis.app.calendar;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.BitSet;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.opentrellis.app.calendar.CalendarView.MovedNewsletter;
import org.opentrellis.core.ahead.Crowding;

/** Finds the newsletter of a day, and the day near it, that leave fewest with more than one. */
final class Mends {
  private static final DateTimeFormatter DAY =
      DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

  /** So many days are mended, those on which most people get too much. */
  private static final int DAYS = 4;

  /** So many days before and after are tried. */
  private static final int NEAR = 3;

  /** Less than this is not worth a move. */
  static final double WORTH = 0.7;

  private Mends() {}

  /** The days of which it is looked what would mend them. */
  static Set<Integer> fullest(Crowding crowding, int count) {
    return IntStream.range(0, count)
        .boxed()
        .filter(day -> crowding.on(day).mean() >= Calendar.SOME)
        .sorted(Comparator.comparingDouble((Integer day) -> -crowding.on(day).mean()))
        .limit(DAYS)
        .collect(Collectors.toSet());
  }

  private record Move(LaneAhead lane, int to, double there, double then) {}

  static Optional<MovedNewsletter> of(DaysAhead.Ahead of, int day) {
    Crowding crowding = of.crowding();
    double now = crowding.on(day).mean();
    return crowding.meetings(day).stream()
        .flatMap(meet -> Stream.of(meet.one(), meet.other()))
        .distinct()
        .map(lane -> of.lanes().get(lane))
        .filter(lane -> lane.movable().isPresent() && lane.letterDays().anyMatch(on -> on == day))
        .flatMap(lane -> moves(of, lane, day))
        .filter(move -> move.then() < WORTH * (now + crowding.on(move.to()).mean()))
        .min(
            Comparator.comparingDouble((Move move) -> Math.rint(move.then()))
                .thenComparing(move -> Math.abs(move.to() - day))
                .thenComparing(Move::to))
        .map(move -> moved(of, move));
  }

  private static Stream<Move> moves(DaysAhead.Ahead of, LaneAhead lane, int day) {
    BitSet nobody = new BitSet();
    double here = of.crowding().onIf(day, lane.readers(), nobody);
    return IntStream.rangeClosed(
            Math.max(0, day - NEAR), Math.min(of.days().count() - 1, day + NEAR))
        .filter(to -> to != day && of.days().first().plusDays(to).isAfter(of.today()))
        .mapToObj(
            to -> {
              double there = of.crowding().onIf(to, nobody, lane.readers());
              return new Move(lane, to, there, here + there);
            });
  }

  private static MovedNewsletter moved(DaysAhead.Ahead of, Move move) {
    LocalDate date = of.days().first().plusDays(move.to());
    String who =
        move.there() < Calendar.SOME
            ? "nobody does"
            : Calendar.persons(move.there()) + (Math.round(move.there()) == 1 ? " does" : " do");
    return new MovedNewsletter(
        move.lane().id(),
        move.lane().name(),
        date,
        Math.round(move.there() * 10) / 10.0,
        "Move \u201c%s\u201d to %s: %s then.".formatted(move.lane().name(), DAY.format(date), who));
  }
}
