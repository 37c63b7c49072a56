package org.opentrellis.app.storage;

import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/**
 * Rows as arrays, one for each column, so that one statement writes many of them: {@code
 * unnest(cast(#{persons" + LONGS + ", cast(#{words" + TEXTS + ")}.
 */
public final class Columns {
  /** Goes behind the name of a parameter that is an array. */
  public static final String ARRAY = ", typeHandler=org.apache.ibatis.type.ArrayTypeHandler}";

  /** The same, with the end of a cast to whole numbers. */
  public static final String LONGS = ARRAY + " as bigint array)";

  /** The same, with the end of a cast to texts. */
  public static final String TEXTS = ARRAY + " as varchar array)";

  private Columns() {}

  /** A column of whole numbers. */
  public static <T> Long[] longs(List<T> rows, Function<T, ? extends @Nullable Number> column) {
    return rows.stream()
        .map(column)
        .map(one -> one == null ? null : Long.valueOf(one.longValue()))
        .toArray(Long[]::new);
  }

  /** A column of texts. */
  public static <T> String[] texts(List<T> rows, Function<T, @Nullable String> column) {
    return rows.stream().map(column).toArray(String[]::new);
  }
}
