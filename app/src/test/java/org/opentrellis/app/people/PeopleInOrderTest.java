package org.opentrellis.app.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.opentrellis.core.people.HowOften;
import org.opentrellis.core.people.Mailing;

/** Page after page everybody who is meant comes once, in order, however many they are. */
class PeopleInOrderTest {
  private static final int PEOPLE = 4_000;
  private static final int PAGE = 101;

  private final TreeMap<Long, PersonRow> people = new TreeMap<>();
  private final PeopleMapper mapper = mock(PeopleMapper.class);
  private final PeopleInOrder inOrder = new PeopleInOrder(mapper);

  /** A database whose people are called alike by the hundred, so that numbers decide. */
  @BeforeEach
  void lay() {
    LongStream.rangeClosed(1, PEOPLE).forEach(id -> people.put(id, person(id)));
    when(mapper.rows(any()))
        .thenAnswer(
            call ->
                Arrays.stream((Long[]) call.getArgument(0))
                    .filter(people::containsKey)
                    .map(people::get)
                    .toList());
    when(mapper.byName(any(), anyLong(), anyInt()))
        .thenAnswer(
            call -> {
              String key = call.getArgument(0);
              long id = call.getArgument(1);
              return places(
                  by(PeopleOrder.NAME),
                  row ->
                      row.nameKey().compareTo(key) > 0
                          || row.nameKey().equals(key) && row.id() > id,
                  PersonRow::nameKey,
                  call.getArgument(2));
            });
    when(mapper.byAddress(any(), anyInt()))
        .thenAnswer(
            call ->
                places(
                    by(PeopleOrder.ADDRESS),
                    row -> row.addressKey().compareTo(call.getArgument(0)) > 0,
                    PersonRow::addressKey,
                    call.getArgument(1)));
    when(mapper.newest(anyLong(), anyInt()))
        .thenAnswer(
            call ->
                places(
                    by(PeopleOrder.NEWEST),
                    row -> row.id() < call.<Long>getArgument(0),
                    row -> "",
                    call.getArgument(1)));
  }

  private static PersonRow person(long id) {
    return new PersonRow(
        id,
        "k" + id * 104_729 % PEOPLE + "." + id + "@example.com",
        null,
        "keeper " + id * 7919 % 120,
        null,
        "Europe/Oslo",
        Mailing.MAY_BE_MAILED,
        0,
        "invented",
        null,
        false,
        null,
        null,
        "invented",
        0,
        HowOften.AS_IT_COMES,
        1);
  }

  private static Comparator<PersonRow> by(PeopleOrder order) {
    return switch (order) {
      case NAME ->
          Comparator.comparing((PersonRow row) -> row.nameKey()).thenComparing(PersonRow::id);
      case ADDRESS -> Comparator.comparing(PersonRow::addressKey);
      case NEWEST -> Comparator.comparing(PersonRow::id).reversed();
    };
  }

  private List<PeopleMapper.Place> places(
      Comparator<PersonRow> order,
      Predicate<PersonRow> behind,
      java.util.function.Function<PersonRow, String> key,
      int most) {
    return people.values().stream()
        .filter(behind)
        .sorted(order)
        .limit(most)
        .map(row -> new PeopleMapper.Place(row.id(), key.apply(row)))
        .toList();
  }

  private List<PersonRow> pageByPage(Those these, PeopleOrder order) {
    List<PersonRow> all = new ArrayList<>();
    List<PersonRow> page = inOrder.next(these, order, null, PAGE);
    while (!page.isEmpty()) {
      assertThat(page).hasSizeLessThanOrEqualTo(PAGE);
      all.addAll(page);
      page = inOrder.next(these, order, page.getLast(), PAGE);
    }
    return all;
  }

  /** Every so-many-th person: looked up at once, met on the way, and all others but these. */
  @ParameterizedTest
  @CsvSource({
    "NAME, 400, false", "NAME, 3, false", "NAME, 7, true",
    "ADDRESS, 400, false", "ADDRESS, 3, false", "ADDRESS, 3, true",
    "NEWEST, 400, false", "NEWEST, 3, false", "NEWEST, 2, true"
  })
  void everybodyComesOnceInOrder(PeopleOrder order, int every, boolean others) {
    Those some = Those.of(people.keySet().stream().filter(id -> id % every == 0).toList());
    Stream<PersonRow> meant =
        people.values().stream().filter(row -> (row.id() % every == 0) != others);
    assertThat(pageByPage(others ? some.not() : some, order))
        .containsExactlyElementsOf(meant.sorted(by(order)).toList());
  }

  /** Those who stand together far behind are found, too. */
  @Test
  void theLastOnesInOrderAreFound() {
    List<PersonRow> last =
        people.values().stream().sorted(by(PeopleOrder.NAME)).skip(PEOPLE - 1_500).toList();
    Those these = Those.of(last.stream().map(PersonRow::id).toList());
    assertThat(pageByPage(these, PeopleOrder.NAME)).containsExactlyElementsOf(last);
  }

  /** Whoever was forgotten since they were counted is left out. */
  @Test
  void whoIsGoneIsLeftOut() {
    Those these = Those.of(List.of(3L, 4L, 5L));
    people.remove(4L);
    assertThat(inOrder.next(these, PeopleOrder.NEWEST, null, PAGE))
        .extracting(PersonRow::id)
        .containsExactly(5L, 3L);
    assertThat(inOrder.next(Those.nobody(), PeopleOrder.NAME, null, PAGE)).isEmpty();
  }
}
