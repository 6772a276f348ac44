import { lines } from './lines';

/** What 24 of the 26 of 8C wrote: one line per student, one answer per question. */
export const RIVERS_WRITTEN = lines(`
upper course|oxbow lake|levee|floodplain|a little higher|discharge|upstream|abrasion
upper course|Oxbow Lake|levee|flood plain|much lower|discharge|upstream|Abrasion
upper course|oxbow laek|gorge|floodplain|much lower|velocity|downstream|erosion
middle course|ox-bow lake|levee|Floodplain.|a little higher|Discharge|upstream|corrasion
upper course|lagoon|levee|flood-plain|much lower|speed|upstream|attrition
upper course|oxbow lake|levee|floodplain|higher, because the bed is steeper there|discharge|upstream|abrasion
upper course|an oxbow lake|pothole|delta|much lower|flow|downstream|erosion
lower course|horseshoe lake|levee|flood plain|much lower|current|upstream|
upper course|Oxbow lake|levee|floodplain|a little higher|dischrage|upstream|it is called abrasion
upper course|cutoff lake|levee|water meadow|much lower|flow rate|upstream|erosion
upper course|oxbow|waterfall|floodplain|much lower|discharge|downstream|scraping
upper course|OXBOW LAKE|levee|FLOODPLAIN|a little higher|DISCHARGE|upstream|ABRASION
middle course|meander|levee|river bank|the same|volume|upstream|attrition
upper course|oxbow lake|levee|flood plain|much lower|discharge|upstream|abrasoin
upper course|oxbow lake|levee|floodplain|much lower|river discharge|upstream|abrasion
upper course|ox bow lake|levee|flodplain|higher, because the bed is steeper there|velocity|downstream|friction
upper course|oxbow lake|gorge|floodplain|a little higher|discharge|upstream|Corrasion
upper course|lagoon|levee|meadow|much lower|speed|to the steeper bank|erosion
upper course|oxbow lake|levee|floodplain|a little higher|discharge|upstream|abrasion
lower course|lake|pothole|?|much lower||downstream|
upper course|Oxbow lakes|levee|the floodplain|much lower|Discharge.|upstream|abrasion
upper course|oxbow lake|levee|floodplain|much lower|discharge|upstream|erosion or abrasion
upper course|cut-off|levee|flood plain|the same|flow|upstream|rubbing
middle course|oxbow lake|levee|floodplain|a little higher|discharge|downstream|abrasion
`);
