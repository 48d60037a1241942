package kalodyne.core.runsheet;

/** A part of the work: adds its steps to a sheet, and the reasons why they come before or after others. */
interface SheetPart {
    void add(SheetRig rig, SheetDraft draft);
}
