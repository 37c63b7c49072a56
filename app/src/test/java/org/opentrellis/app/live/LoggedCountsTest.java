package org.opentrellis.app.live;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;

/** What is counted bit by bit is what is counted at once, however the log grows. */
class LoggedCountsTest {
  private record Line(long id, long journey, String kind) {}

  private final List<Line> log = new ArrayList<>();
  private final HappeningMapper mapper = mock(HappeningMapper.class);
  private long looked;

  private List<HappeningMapper.Times> count(long after, long upTo) {
    Map<List<Object>, Long> counts = new TreeMap<>((a, b) -> a.toString().compareTo(b.toString()));
    for (Line line : log) {
      if (line.id() > after && line.id() <= upTo) {
        looked++;
        counts.merge(List.of(line.journey(), line.kind()), 1L, Long::sum);
      }
    }
    return counts.entrySet().stream()
        .map(
            one ->
                new HappeningMapper.Times(
                    (Long) one.getKey().get(0), (String) one.getKey().get(1), one.getValue()))
        .toList();
  }

  @Test
  void countsAreWhole() {
    when(mapper.last()).thenAnswer(call -> log.isEmpty() ? 0 : log.getLast().id());
    when(mapper.counts(anyLong(), anyLong()))
        .thenAnswer(call -> count(call.getArgument(0), call.getArgument(1)));
    LoggedCounts counts = new LoggedCounts(mapper);
    assertThat(counts.now()).isEmpty();
    Random random = new Random(7);
    long id = 0;
    for (int round = 0; round < 40; round++) {
      for (int n = 0; n < 5_000; n++) {
        // Numbers may leave gaps, as after a start.
        id += 1 + (random.nextInt(2_000) == 0 ? 30_000 : 0);
        String kind = List.of("ENTERED", "LEFT", "FINISHED").get(random.nextInt(3));
        log.add(new Line(id, 1 + random.nextInt(4), kind));
      }
      Map<Long, Map<String, Long>> now = counts.now();
      long all =
          now.values().stream().flatMap(one -> one.values().stream()).mapToLong(one -> one).sum();
      assertThat(all).isEqualTo(log.size());
    }
    long before = looked;
    counts.now();
    assertThat(looked - before).as("what lies far back is not looked at again").isLessThan(60_000);
  }
}
