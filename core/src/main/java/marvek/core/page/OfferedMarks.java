package marvek.core.page;

import java.util.List;
import marvek.core.mark.By;
import marvek.core.mark.MarkChooser;
import marvek.core.mark.MarkReference;

/**
 * What a point of a page can be told by, best first.
 *
 * @param atM station of the point
 * @param beside marks that stand near it
 * @param leaving marks that leave the driver's sight near it
 * @param aims things that the path leads towards there
 */
public record OfferedMarks(
    PagePoint point,
    double atM,
    List<MarkReference> beside,
    List<MarkReference> leaving,
    List<MarkReference> aims) {

  /** For each point that a page has, in driving order. */
  public static List<OfferedMarks> of(CornerPage page, MarkChooser marks) {
    return PagePoint.of(page).stream().map(point -> of(point, page, marks)).toList();
  }

  private static OfferedMarks of(PagePoint point, CornerPage page, MarkChooser marks) {
    double atM = point.atM(page);
    return new OfferedMarks(
        point,
        atM,
        marks.choices(atM, page.direction().mirrored(), PageWriter.MARKS_OFFERED),
        marks.seen(By.LEAVES_SIGHT, atM, PageWriter.MARKS_OFFERED),
        marks.seen(By.AIM, atM, PageWriter.MARKS_OFFERED));
  }
}
