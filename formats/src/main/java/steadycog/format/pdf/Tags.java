package steadycog.format.pdf;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import org.apache.pdfbox.cos.COSArray;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSInteger;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDDocumentCatalog;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkInfo;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkedContentReference;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureTreeRoot;
import org.apache.pdfbox.pdmodel.documentinterchange.taggedpdf.PDTableAttributeObject;
import org.apache.pdfbox.pdmodel.interactive.viewerpreferences.PDViewerPreferences;
import steadycog.number.Known;

/**
 * What every piece of a document is, for those who have it read aloud: headings, paragraphs, tables
 * with their heads, figures with words for them (ISO 32000-1, 14.7 and 14.8). What belongs to
 * nothing, rules and footers, is marked as such.
 */
final class Tags {
  /** Something that writes on a page. */
  interface Writing {
    void run() throws IOException;
  }

  private static final COSName ARTIFACT = COSName.getPDFName("Artifact");

  private final PDStructureTreeRoot root = new PDStructureTreeRoot();
  private final Deque<PDStructureElement> open = new ArrayDeque<>();
  private final Map<PDPage, COSArray> parents = new HashMap<>();
  private final COSArray numbers = new COSArray();
  private boolean whole;

  Tags(PDDocument document, String language) {
    PDDocumentCatalog catalog = document.getDocumentCatalog();
    PDMarkInfo info = new PDMarkInfo();
    info.setMarked(true);
    catalog.setMarkInfo(info);
    catalog.setLanguage(language);
    catalog.setStructureTreeRoot(root);
    PDViewerPreferences viewer = new PDViewerPreferences(new COSDictionary());
    viewer.setDisplayDocTitle(true);
    catalog.setViewerPreferences(viewer);
    COSDictionary tree = new COSDictionary();
    tree.setItem(COSName.NUMS, numbers);
    root.getCOSObject().setItem(COSName.PARENT_TREE, tree);
    PDStructureElement all = new PDStructureElement("Document", root);
    root.appendKid(all);
    open.push(all);
  }

  /** Takes in a new page. */
  void add(PDPage page) {
    COSArray own = new COSArray();
    page.setStructParents(parents.size());
    numbers.add(COSInteger.get(parents.size()));
    numbers.add(own);
    parents.put(page, own);
    root.setParentTreeNextKey(parents.size());
  }

  /** All that is written meanwhile belongs to a new element. */
  void in(String type, Writing writing) throws IOException {
    start(type);
    writing.run();
    end();
  }

  PDStructureElement start(String type) {
    PDStructureElement element = new PDStructureElement(type, open.peek());
    open.element().appendKid(element);
    open.push(element);
    return element;
  }

  void end() {
    open.pop();
  }

  /** The head of a column or row. */
  void head(String scope, Writing writing) throws IOException {
    if (whole) {
      writing.run();
      return;
    }
    PDStructureElement element = start("TH");
    PDTableAttributeObject attribute = new PDTableAttributeObject();
    attribute.setScope(scope);
    element.addAttribute(attribute);
    writing.run();
    end();
  }

  /** A picture on one page, with what it shows in words. */
  void figure(PDPage page, PDPageContentStream on, String words, Writing writing)
      throws IOException {
    PDStructureElement element = start("Figure");
    element.setAlternateDescription(words);
    mark(page, on);
    whole = true;
    writing.run();
    whole = false;
    on.endMarkedContent();
    end();
  }

  /** What belongs to nothing. */
  void artifact(PDPageContentStream on, Writing writing) throws IOException {
    if (whole) {
      writing.run();
      return;
    }
    on.beginMarkedContent(ARTIFACT);
    whole = true;
    writing.run();
    whole = false;
    on.endMarkedContent();
  }

  /** Text of the element that is open now. */
  void text(PDPage page, PDPageContentStream on, Writing writing) throws IOException {
    if (whole) {
      writing.run();
      return;
    }
    mark(page, on);
    writing.run();
    on.endMarkedContent();
  }

  private void mark(PDPage page, PDPageContentStream on) throws IOException {
    COSArray own = Known.in(parents, page);
    PDStructureElement element = open.element();
    PDMarkedContentReference reference = new PDMarkedContentReference();
    reference.setPage(page);
    reference.setMCID(own.size());
    element.appendKid(reference);
    on.beginMarkedContent(COSName.getPDFName(element.getStructureType()), own.size());
    own.add(element);
  }
}
