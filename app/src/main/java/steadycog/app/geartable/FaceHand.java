package steadycog.app.geartable;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import org.apache.commons.numbers.fraction.BigFraction;
import steadycog.app.desk.Bench;
import steadycog.app.desk.Desk;
import steadycog.shape.PlacedWheel;
import steadycog.train.MemberId;
import steadycog.train.Mesh;

/**
 * What the mouse does on the face view: choose a wheel, drag its shaft round its partner, scroll
 * its teeth; elsewhere pan and zoom.
 */
final class FaceHand {
  private static final double DRAG_FROM = 5;
  private static final int SNAP = 5;
  private static final double ZOOM_STEP = 1.15;

  private final Desk desk;
  private final FaceView face;
  private double lastX;
  private double lastY;
  private boolean dragging;

  FaceHand(Desk desk, FaceView face) {
    this.desk = desk;
    this.face = face;
    face.setOnScroll(this::scroll);
    face.setOnMousePressed(this::remember);
    face.setOnMouseDragged(this::pan);
    face.setOnMouseClicked(
        click -> {
          if (click.getTarget() == face && click.getClickCount() == 2) {
            face.fit();
          }
        });
  }

  /** Lets the mouse act on what is drawn of a member. */
  void hold(Node view, MemberId id) {
    view.setOnMousePressed(
        press -> {
          remember(press);
          desk.select(Optional.of(id));
        });
    view.setOnMouseDragged(drag -> dragShaft(id, drag));
    view.setOnMouseReleased(
        release -> {
          dragging = false;
          desk.endStrand();
        });
    view.setOnScroll(
        scroll -> {
          boolean chosen = desk.selection().filter(id::equals).isPresent();
          if (chosen && !scroll.isShortcutDown() && scroll.getDeltaY() != 0) {
            desk.train().changeTeeth(id, scroll.getDeltaY() > 0 ? 1 : -1);
            scroll.consume();
          }
        });
  }

  private void remember(MouseEvent event) {
    lastX = event.getSceneX();
    lastY = event.getSceneY();
    dragging = false;
  }

  private void pan(MouseEvent drag) {
    if (drag.getTarget() == face) {
      face.panBy(drag.getSceneX() - lastX, drag.getSceneY() - lastY);
      lastX = drag.getSceneX();
      lastY = drag.getSceneY();
    }
  }

  private void scroll(ScrollEvent scroll) {
    if (scroll.getDeltaY() != 0) {
      double factor = scroll.getDeltaY() > 0 ? ZOOM_STEP : 1 / ZOOM_STEP;
      face.zoomBy(factor, scroll.getX(), scroll.getY());
      scroll.consume();
    }
  }

  private void dragShaft(MemberId id, MouseEvent drag) {
    drag.consume();
    double moved = Math.hypot(drag.getSceneX() - lastX, drag.getSceneY() - lastY);
    dragging |= moved > DRAG_FROM;
    if (dragging) {
      desk.bench()
          .flatMap(bench -> steered(bench, id))
          .ifPresent(steer -> face.view(steer.partner).ifPresent(p -> place(steer, p, drag)));
    }
  }

  /** A wheel on the dragged shaft and the partner round which it goes. */
  private record Steer(MemberId wheel, MemberId partner) {}

  private void place(Steer steer, BodyView partner, MouseEvent drag) {
    var mouse = face.sceneToLocal(drag.getSceneX(), drag.getSceneY());
    double degrees =
        Math.toDegrees(
            Math.atan2(
                partner.getTranslateY() - mouse.getY(), mouse.getX() - partner.getTranslateX()));
    int snap = drag.isShiftDown() ? 1 : SNAP;
    desk.train()
        .place(steer.wheel, BigFraction.of(Math.floorMod(Math.round(degrees / snap) * snap, 360)));
  }

  /** The wheel of the shaft that meshes with one before it on the card, else any that meshes. */
  private static Optional<Steer> steered(Bench bench, MemberId id) {
    List<Mesh> meshes =
        bench.card().train().meshes().stream().filter(m -> m.carrier().isEmpty()).toList();
    // A bevel gear meshes on fixed axes too, but stands where its mate lets it.
    Optional<PlacedWheel> dragged =
        bench.study().layout().wheels().stream().filter(wheel -> wheel.id().equals(id)).findFirst();
    if (dragged.isEmpty() || meshes.stream().noneMatch(mesh -> mesh.touches(id))) {
      return Optional.empty();
    }
    int axis = dragged.get().axis();
    List<MemberId> shaft =
        bench.study().layout().wheels().stream()
            .filter(wheel -> wheel.axis() == axis)
            .map(PlacedWheel::id)
            .toList();
    return meshes.stream()
        .filter(mesh -> shaft.contains(mesh.b()))
        .map(mesh -> new Steer(mesh.b(), mesh.a()))
        .findFirst()
        .or(
            () ->
                meshes.stream()
                    .filter(mesh -> shaft.contains(mesh.a()))
                    .map(mesh -> new Steer(mesh.a(), mesh.b()))
                    .findFirst());
  }
}
