package marvek.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import marvek.core.TestBooks;
import org.junit.jupiter.api.Test;

class PagePointTest {
  private static final CornerPage PLAIN = TestBooks.VARIED.pages().get(1);
  private static final CornerPage.Gears G = PLAIN.gears();

  private static CornerPage changing(GearChange... changes) {
    return PLAIN
        .but()
        .gears(new CornerPage.Gears(4, G.in(), G.corner(), G.out(), List.of(), List.of(changes)))
        .build();
  }

  private static GearChange to(double atM, int gear) {
    return new GearChange(atM, gear, null);
  }

  /** The first change of each direction counts, whatever came before it. */
  @Test
  void gearsAreToldByTheFirstChangeOfADirection() {
    CornerPage both = changing(to(10, 3), to(20, 2), to(30, 3), to(40, 4));
    assertThat(PagePoint.GEAR_DOWN.atM(both)).isEqualTo(10);
    assertThat(PagePoint.GEAR_UP.atM(both)).isEqualTo(30);
    CornerPage up = changing(to(30, 5));
    assertThat(PagePoint.GEAR_DOWN.atM(up)).isNull();
    assertThat(PagePoint.GEAR_UP.atM(up)).isEqualTo(30);
  }

  @Test
  void aPageWithoutALiftOrAPlaceToLookHasNoSuchPoint() {
    assertThat(PagePoint.LIFT.atM(PLAIN)).isNull();
    assertThat(PagePoint.LOOK.atM(PLAIN)).isNull();
    Lift lift = new Lift(50, 30, null, null, List.of());
    CornerPage.OwnPoint look = new CornerPage.OwnPoint(60, null, List.of());
    CornerPage page = PLAIN.but().lift(lift).points(Map.of(PageField.LOOK, look)).build();
    assertThat(PagePoint.LIFT.atM(page)).isEqualTo(50);
    assertThat(PagePoint.LOOK.atM(page)).isEqualTo(60);
  }

  @Test
  void thePointsOfAPageAreThoseWithAPlaceInDrivingOrder() {
    assertThat(PagePoint.of(changing(to(10, 3))))
        .contains(PagePoint.BRAKE, PagePoint.GEAR_DOWN, PagePoint.APEX, PagePoint.EXIT)
        .doesNotContain(PagePoint.LIFT, PagePoint.LOOK, PagePoint.GEAR_UP)
        .isSorted();
  }
}
