-- One of a few words is stored in these columns; the file refuses any other. A constraint changes nothing of what lies on the disk, so it
-- is written into the tables' own words, as SQLite allows for that (https://sqlite.org/lang_altertable.html, section 7).
PRAGMA writable_schema = ON;

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT kind_known CHECK (kind IN (''TwoPiece'', ''OnePiece'', ''Mesh'', ''LinkBracelet'')),
  CONSTRAINT material_known CHECK (material IN (''Leather'', ''Textile'', ''Rubber'', ''Metal'')),
  CONSTRAINT attaches_known CHECK (attaches IN (''LooseBar'', ''QuickRelease'', ''PullThrough'', ''OpenEnd'', ''ScrewThrough'')),
  CONSTRAINT end_shape_known CHECK (end_shape IN (''Straight'', ''Curved'', ''Fitted'')),
  CONSTRAINT clasp_micro_side_known CHECK (clasp_micro_side IN (''Twelve'', ''Six'')),
  CONSTRAINT fastener_known CHECK (fastener IN (''SplitPin'', ''PinWithTube'', ''Screw'', ''ScrewInTube'', ''SpringBar'', ''LeveredBar'', ''FixedBar'', ''ScrewedBar'', ''SlotScrews'', ''FrictionPin'', ''Threaded'', ''ByHand'', ''Sewn'', ''Riveted'', ''OpenEnd'', ''MakersOwn'', ''NotLookedAt''))
) STRICT') WHERE type = 'table' AND name = 'band';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT side_known CHECK (side IN (''Twelve'', ''Six''))
) STRICT') WHERE type = 'table' AND name = 'band_link';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT tools_known CHECK (tools IN (''BlockAndHammer'', ''HandPusher'', ''ScrewPress'')),
  CONSTRAINT tools_in_known CHECK (tools_in IN (''BlockAndHammer'', ''HandPusher'', ''ScrewPress'')),
  CONSTRAINT insertion_known CHECK (insertion IN (''AgainstTheArrow'', ''AlongTheArrow'')),
  CONSTRAINT micro_known CHECK (micro IN (''TipByTip'', ''BarRightOut'')),
  CONSTRAINT runs_known CHECK (runs IN (''InsideTheLinks'', ''AtTheClasp'')),
  CONSTRAINT try_on_known CHECK (try_on IN (''BetweenTheSides'', ''OnceAtTheEnd''))
) STRICT') WHERE type = 'table' AND name = 'bench_setup';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT row_known CHECK (row IN (''Protect'', ''Look'', ''OpenToGauge'', ''Fetch'', ''Consent'', ''Unbuckle'', ''HeadOff'', ''OldBandOff'', ''InTheTray'', ''Clean'', ''Prepare'', ''ClaspOff'', ''Open'', ''Join'', ''ClaspOn'', ''Lay'', ''Bars'', ''Thread'', ''Lugs'', ''Set'', ''Shut'', ''Wipe'', ''TryOn'', ''Check'', ''GiveBack'', ''PutAway'', ''Tray'', ''Before''))
) STRICT') WHERE type = 'table' AND name = 'bench_step';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT what_known CHECK (what IN (''Box'', ''Papers'', ''OldBand'', ''LooseLinks'', ''SpareBars'', ''ClaspParts''))
) STRICT') WHERE type = 'table' AND name = 'came_with';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT place_known CHECK (place IN (''Crystal'', ''BezelTwelve'', ''BezelThree'', ''BezelSix'', ''BezelNine'', ''Crown'', ''CaseBack'', ''LugTwelveLeft'', ''LugTwelveRight'', ''LugSixLeft'', ''LugSixRight'', ''BandTwelve'', ''BandSix'', ''Clasp'')),
  CONSTRAINT kind_known CHECK (kind IN (''Scratch'', ''Dent'', ''BentLug'', ''MissingBar'', ''WornStrap'', ''Dirt'', ''StiffClasp''))
) STRICT') WHERE type = 'table' AND name = 'condition_mark';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT figure_known CHECK (figure IN (''LugWidth'', ''LugToLug'', ''BarToBar'', ''BarRise'', ''CaseHeight'', ''BarGap'', ''LugHole'', ''OwnBar'', ''SlotHeight'', ''BandWidth'', ''BandEnd'', ''BandThickness'', ''ClaspEnd'', ''LinkPitch'', ''Wrist'', ''WristWidth'', ''WristDepth'', ''ClaspInner'', ''ClaspThroat'', ''ClaspTube'', ''OverButtons'', ''ClaspBar'', ''ClaspBarLength'', ''MicroPitch'', ''Extension'', ''EndNotch'', ''EndBore'', ''OtherEndBore'', ''PinDiameter'', ''PinLength''))
) STRICT') WHERE type = 'table' AND name = 'figure_stands';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT role_known CHECK (role IN (''Counter'', ''Fitter'', ''Lead''))
) STRICT') WHERE type = 'table' AND name = 'fitter';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT request_known CHECK (request IN (''ChangeStrap'', ''FitMesh'', ''ReplaceClasp'', ''TakeLinksOut'', ''PutLinksIn'', ''Refit'', ''SomethingElse'')),
  CONSTRAINT worn_way_known CHECK (worn_way IN (''Double'', ''Single'', ''ReversedDouble'', ''ReversedSingle'')),
  CONSTRAINT goes_back_known CHECK (goes_back IN (''Collected'', ''Posted''))
) STRICT') WHERE type = 'table' AND name = 'job';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT on_watch_known CHECK (on_watch IN (''Nothing'', ''Soft'', ''Bracelet'', ''Mesh'', ''PulledThrough'')),
  CONSTRAINT held_known CHECK (held IN (''NotLookedAt'', ''LooseBars'', ''LeveredBars'', ''Screws''))
) STRICT') WHERE type = 'table' AND name = 'job_came';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT kind_known CHECK (kind IN (''PinBuckle'', ''StrapFolding'', ''Butterfly'', ''FoldOver'', ''Extending'', ''Slide'')),
  CONSTRAINT bar_fit_known CHECK (bar_fit IN (''Free'', ''Snug''))
) STRICT') WHERE type = 'table' AND name = 'job_clasp';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT joints_known CHECK (joints IN (''Links'', ''ClaspTwelve'', ''ClaspSix'', ''Lugs'')),
  CONSTRAINT fastener_known CHECK (fastener IN (''SplitPin'', ''PinWithTube'', ''Screw'', ''ScrewInTube'', ''SpringBar'', ''LeveredBar'', ''FixedBar'', ''ScrewedBar'', ''SlotScrews'', ''FrictionPin'', ''Threaded'', ''ByHand'', ''Sewn'', ''Riveted'', ''OpenEnd'', ''MakersOwn'', ''NotLookedAt''))
) STRICT') WHERE type = 'table' AND name = 'joint_look';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT side_known CHECK (side IN (''Twelve'', ''Six''))
) STRICT') WHERE type = 'table' AND name = 'link_freed';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT side_known CHECK (side IN (''Twelve'', ''Six''))
) STRICT') WHERE type = 'table' AND name = 'link_pinned';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT station_known CHECK (station IN (''TakeIn'', ''Gauge'', ''Match'', ''Clasp'', ''Size'', ''Bench'', ''HandOver''))
) STRICT') WHERE type = 'table' AND name = 'log_entry';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT joints_known CHECK (joints IN (''Links'', ''ClaspTwelve'', ''ClaspSix'', ''Lugs''))
) STRICT') WHERE type = 'table' AND name = 'open_to_gauge';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT reason_known CHECK (reason IN (''CaseMustBeOpened'', ''WaterInside'', ''Stopped'', ''LugCracked'', ''CrownLoose'', ''PreciousMetal'', ''VintageAboveLimit'', ''ScrewStuck'', ''LugBent''))
) STRICT') WHERE type = 'table' AND name = 'outside_craft';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT micro_side_known CHECK (micro_side IN (''Twelve'', ''Six'')),
  CONSTRAINT fastener_known CHECK (fastener IN (''SplitPin'', ''PinWithTube'', ''Screw'', ''ScrewInTube'', ''SpringBar'', ''LeveredBar'', ''FixedBar'', ''ScrewedBar'', ''SlotScrews'', ''FrictionPin'', ''Threaded'', ''ByHand'', ''Sewn'', ''Riveted'', ''OpenEnd'', ''MakersOwn'', ''NotLookedAt''))
) STRICT') WHERE type = 'table' AND name = 'own_bracelet';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT kind_known CHECK (kind IN (''Clasp'', ''SpringBars'', ''ClaspPins''))
) STRICT') WHERE type = 'table' AND name = 'own_part';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT kind_known CHECK (kind IN (''Clasp'', ''Bar'', ''Pin'', ''Link'')),
  CONSTRAINT clasp_kind_known CHECK (clasp_kind IN (''PinBuckle'', ''StrapFolding'', ''Butterfly'', ''FoldOver'', ''Extending'', ''Slide'')),
  CONSTRAINT micro_side_known CHECK (micro_side IN (''Twelve'', ''Six'')),
  CONSTRAINT style_known CHECK (style IN (''Plain'', ''Flanged'', ''QuickRelease'', ''Screwed''))
) STRICT') WHERE type = 'table' AND name = 'part';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT side_known CHECK (side IN (''Twelve'', ''Six'')),
  CONSTRAINT fate_known CHECK (fate IN (''Fixed'', ''Stays'', ''Leaves'', ''Joins''))
) STRICT') WHERE type = 'table' AND name = 'plan_link';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT figure_known CHECK (figure IN (''LugWidth'', ''LugToLug'', ''BarToBar'', ''BarRise'', ''CaseHeight'', ''BarGap'', ''LugHole'', ''OwnBar'', ''SlotHeight'', ''BandWidth'', ''BandEnd'', ''BandThickness'', ''ClaspEnd'', ''LinkPitch'', ''Wrist'', ''WristWidth'', ''WristDepth'', ''ClaspInner'', ''ClaspThroat'', ''ClaspTube'', ''OverButtons'', ''ClaspBar'', ''ClaspBarLength'', ''MicroPitch'', ''Extension'', ''EndNotch'', ''EndBore'', ''OtherEndBore'', ''PinDiameter'', ''PinLength''))
) STRICT') WHERE type = 'table' AND name = 'reading';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT state_known CHECK (state IN (''Sending'', ''Accepted'', ''Partly'', ''Shipped'', ''Done'', ''Refused''))
) STRICT') WHERE type = 'table' AND name = 'supply_order';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT kind_known CHECK (kind IN (''Punch'', ''Blade'', ''Fork'', ''Block'', ''Press'', ''Pusher'', ''Hammer'', ''Pliers'', ''HollowEnd'', ''HandDrill'', ''Holder'', ''Tweezers'', ''Point''))
) STRICT') WHERE type = 'table' AND name = 'tool';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT outcome_known CHECK (outcome IN (''AsPlanned'', ''Felt'', ''NotTried'')),
  CONSTRAINT ease_known CHECK (ease IN (''Comfortable'', ''Snug'', ''Loose''))
) STRICT') WHERE type = 'table' AND name = 'tried_on';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT surplus_by_known CHECK (surplus_by IN (''Millimetres'', ''LinksPinched'', ''Gap'')),
  CONSTRAINT surplus_over_known CHECK (surplus_over IN (''ZeroEase'', ''Comfort''))
) STRICT') WHERE type = 'table' AND name = 'try_on';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT attachment_known CHECK (attachment IN (''SpringBarDrilled'', ''SpringBarBlind'', ''FixedBar'', ''ScrewBar'', ''ScrewSlot'', ''OwnShape'')),
  CONSTRAINT case_shape_known CHECK (case_shape IN (''Round'', ''FlatSided''))
) STRICT') WHERE type = 'table' AND name = 'watch';

UPDATE sqlite_schema SET sql = replace(sql, ') STRICT', ',
  CONSTRAINT wear_known CHECK (wear IN (''Snug'', ''Regular'', ''Easy'')),
  CONSTRAINT worn_at_known CHECK (worn_at IN (''ArmSide'', ''OnBone'', ''HandSide'')),
  CONSTRAINT season_known CHECK (season IN (''Winter'', ''Spring'', ''Summer'', ''Autumn''))
) STRICT') WHERE type = 'table' AND name = 'wrist';

PRAGMA writable_schema = RESET;
