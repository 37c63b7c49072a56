package org.opentrellis.app.people;

import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Writes what was bought, many lines with one statement. */
@Mapper
interface OrderMapper {
  @Select("select not exists (select 1 from purchase)")
  boolean none();

  @Insert(
      "insert into purchase (person_id, at, product_id, cents)"
          + " select p.id, l.at, l.product, l.cents from unnest(cast(#{keys"
          + ChangeMapper.TEXTS
          + ", cast(#{moments"
          + ChangeMapper.LONGS
          + ", cast(#{products"
          + ChangeMapper.LONGS
          + ", cast(#{cents"
          + ChangeMapper.LONGS
          + ") as l (address, at, product, cents) join person p on p.address_key = l.address")
  void insert(String[] keys, Long[] moments, Long[] products, Long[] cents);

  @Insert(
      "insert into person_happening (person_id, at, kind, document)"
          + " select p.id, l.at, 'BOUGHT', l.said from unnest(cast(#{keys"
          + ChangeMapper.TEXTS
          + ", cast(#{moments"
          + ChangeMapper.LONGS
          + ", cast(#{said"
          + ChangeMapper.TEXTS
          + ") as l (address, at, said) join person p on p.address_key = l.address")
  void tell(String[] keys, Long[] moments, String[] said);
}
