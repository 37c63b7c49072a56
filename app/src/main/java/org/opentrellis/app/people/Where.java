package org.opentrellis.app.people;

import java.util.ArrayList;
import java.util.List;

/**
 * A part of an SQL condition over {@code person p}. Values never stand in its text: each is a
 * MyBatis parameter {@code #{where.values[n]}}.
 */
final class Where {
  private final StringBuilder sql = new StringBuilder();
  private final List<Object> values = new ArrayList<>();

  Where add(String text) {
    sql.append(text);
    return this;
  }

  Where value(Object value) {
    sql.append("#{where.values[").append(values.size()).append("]}");
    values.add(value);
    return this;
  }

  /** For MyBatis: the text. */
  public String getSql() {
    return sql.toString();
  }

  /** For MyBatis: what stands in it. */
  public List<Object> getValues() {
    return values;
  }
}
