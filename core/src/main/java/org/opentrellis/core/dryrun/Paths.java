package org.opentrellis.core.dryrun;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The distinct ways that people went. Those of one chunk of people are all kept apart; of several
 * chunks together, combined in their order, the first {@value #MOST} in order of people that
 * somebody of the first {@value #PIONEERS} went, and the rest is counted as one. So the result is
 * the same however the people are parted, and which ways are kept apart is known before all have
 * gone.
 */
public final class Paths {
  /** How many are kept apart. */
  public static final int MOST = 10_000;

  /** Ways that none of so many people went first are not kept apart. */
  public static final int PIONEERS = 1 << 20;

  private static final int NUMBERS = 6;

  /** More ways than this are not read from anywhere. */
  private static final int LARGEST = 1 << 24;

  private int size;
  private int[] table = new int[64];
  private long[] keys = new long[32];
  private long[] numbers = new long[32 * NUMBERS];
  private final int most;

  /** Whoever comes from here on opens no new way. */
  private final int pioneers;

  private long others;

  private Paths(int most, int pioneers) {
    this.most = most;
    this.pioneers = pioneers;
  }

  /** For people of one chunk. */
  static Paths ofChunk() {
    return new Paths(Integer.MAX_VALUE, Integer.MAX_VALUE);
  }

  /** For all people, to be combined with one chunk after another. */
  static Paths ofAll() {
    return new Paths(MOST, PIONEERS);
  }

  /** For people behind the pioneers: the ways of these, which nobody has gone yet. */
  Paths known() {
    Paths known = new Paths(size, 0);
    known.keys = keys.clone();
    known.table = table.clone();
    known.numbers = new long[numbers.length];
    known.size = size;
    return known;
  }

  /**
   * @param key tells ways apart
   */
  void accept(long key, int person, int visit, boolean goalMet, int messages, long seconds) {
    add(key, person, visit, 1, goalMet ? 1 : 0, messages, seconds);
  }

  /**
   * @param later of the people that come next, or of people behind the pioneers in any order
   */
  void combine(Paths later) {
    others += later.others;
    for (int i = 0; i < later.size; i++) {
      PathTally path = later.path(i);
      add(
          later.keys[i],
          path.firstPerson(),
          path.firstVisit(),
          path.count(),
          path.goalMet(),
          path.messages(),
          path.seconds());
    }
  }

  /** Which ways there are is told with them, in their order. */
  void counts(Counts counts) {
    int ways = counts.size(size, LARGEST);
    long[] ofKeys = Arrays.copyOf(keys, ways);
    counts.of(ofKeys);
    long[] ofNumbers = Arrays.copyOf(numbers, ways * NUMBERS);
    counts.of(ofNumbers);
    others = counts.of(others);
    int room = Math.max(32, 2 * Integer.highestOneBit(Math.max(1, ways)));
    keys = Arrays.copyOf(ofKeys, room);
    numbers = Arrays.copyOf(ofNumbers, room * NUMBERS);
    table = new int[2 * room];
    size = ways;
    IntStream.range(0, size).forEach(this::place);
  }

  private void add(
      long key, int person, int visit, long count, long goalMet, long messages, long seconds) {
    int path = find(key);
    if (path < 0) {
      if (size == most || person >= pioneers) {
        others += count;
        return;
      }
      path = insert(key, person, visit);
    }
    int at = path * NUMBERS;
    numbers[at + 2] += count;
    numbers[at + 3] += goalMet;
    numbers[at + 4] += messages;
    numbers[at + 5] += seconds;
  }

  private int find(long key) {
    int slot = (int) key & table.length - 1;
    while (table[slot] != 0) {
      if (keys[table[slot] - 1] == key) {
        return table[slot] - 1;
      }
      slot = slot + 1 & table.length - 1;
    }
    return -1;
  }

  private int insert(long key, int person, int visit) {
    if (size == keys.length) {
      keys = Arrays.copyOf(keys, 2 * size);
      numbers = Arrays.copyOf(numbers, 2 * size * NUMBERS);
      table = new int[4 * size];
      IntStream.range(0, size).forEach(this::place);
    }
    keys[size] = key;
    numbers[size * NUMBERS] = person;
    numbers[size * NUMBERS + 1] = visit;
    place(size);
    return size++;
  }

  private void place(int path) {
    int slot = (int) keys[path] & table.length - 1;
    while (table[slot] != 0) {
      slot = slot + 1 & table.length - 1;
    }
    table[slot] = path + 1;
  }

  private PathTally path(int i) {
    int at = i * NUMBERS;
    return new PathTally(
        (int) numbers[at],
        (int) numbers[at + 1],
        numbers[at + 2],
        numbers[at + 3],
        numbers[at + 4],
        numbers[at + 5]);
  }

  /** The ways that are kept apart, by their first person. */
  public List<PathTally> kept() {
    return IntStream.range(0, size).mapToObj(this::path).toList();
  }

  /** How many went some other way. */
  public long others() {
    return others;
  }
}
