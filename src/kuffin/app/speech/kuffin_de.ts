<?xml version="1.0" encoding="utf-8"?>
<!DOCTYPE TS>
<TS version="2.1" language="de" sourcelanguage="en">
    <context>
        <name>kuffin</name>
        <message>
            <location filename="../../../../src/kuffin/app/acts/exporting.py" />
            <source>no mount of this study was prepared yet: nothing was ticked, noted or measured</source>
            <translation>noch keine Montage dieser Studie wurde vorbereitet: nichts ist abgehakt, notiert oder gemessen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/exporting.py" />
            <source>no mount of this study can be read yet, so there is nothing to draw</source>
            <translation>noch keine Montage dieser Studie lässt sich ablesen, es gibt also nichts zu zeichnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/importing.py" />
            <location filename="../../../../src/kuffin/app/acts/joininglogs.py" />
            <source>reading {name}</source>
            <translation>{name} wird gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/importing.py" />
            <source>reading {files} logs</source>
            <translation>{files} Logs werden gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/importing.py" />
            <source>A table of readings</source>
            <translation>Eine Tabelle mit Messwerten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/importing.py" />
            <source>{told}

It becomes a study of its own. Its question:</source>
            <translation>{told}

Daraus wird eine eigene Studie. Ihre Frage:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/importing.py" />
            <source>adding the logs</source>
            <translation>die Logs werden hinzugefügt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/importing.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>say whose die is asked about</source>
            <translation>sagen, nach wessen Chip gefragt ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/importing.py" />
            <source>add {file}</source>
            <translation>{file} hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/importing.py" />
            <source>add {runs} logs</source>
            <translation>{runs} Logs hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/importing.py" />
            <source>take the bench</source>
            <translation>den Prüfstand übernehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/joininglogs.py" />
            <source>Join a log to this run</source>
            <translation>Ein Log mit diesem Lauf verbinden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>Open a notebook</source>
            <translation>Ein Heft öffnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>Kuffin notebooks (*{SUFFIX})</source>
            <translation>Kuffin-Hefte (*{SUFFIX})</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>New notebook</source>
            <translation>Neues Heft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>bench notebook{SUFFIX}</source>
            <translation>Prüfstandsheft{SUFFIX}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>preparing the demo</source>
            <translation>die Demo wird vorbereitet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>preparing the practice bench</source>
            <translation>der Übungsstand wird vorbereitet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>Write the demo's logs into</source>
            <translation>Die Logs der Demo schreiben nach</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>writing the demo's logs</source>
            <translation>die Logs der Demo werden geschrieben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>Save a copy as</source>
            <translation>Kopie speichern unter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>{name} is the notebook that is open here</source>
            <translation>{name} ist das Heft, das hier offen ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>a run is being recorded; stop it on the Run desk first, then open another notebook</source>
            <translation>ein Lauf wird aufgezeichnet; erst am Pult „Lauf“ anhalten, dann ein anderes Heft öffnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>of what the window remembers, some could not be used: {set_aside}; the usual is used instead</source>
            <translation>manches, was sich das Fenster gemerkt hat, war unbrauchbar: {set_aside}; stattdessen gilt das Übliche</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>Kuffin ended without a word while it opened {name} last time, so it is not opened by itself now; open it from the list below if you like, or a copy of it from before</source>
            <translation>Kuffin endete beim letzten Mal ohne ein Wort, während es {name} öffnete; darum wird es jetzt nicht von selbst geöffnet. Es lässt sich aus der Liste unten öffnen, oder eine ältere Kopie davon</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source> The notebook as it was is kept as “{name}”.</source>
            <translation> Das Heft, wie es war, liegt als „{name}“ daneben.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>Some of this notebook is damaged</source>
            <translation>Ein Teil dieses Hefts ist beschädigt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>This notebook was of an older format and is now of the new one; it stays as it was in “{name}”.</source>
            <translation>Dieses Heft hatte ein älteres Format und hat jetzt das neue; wie es war, bleibt es in „{name}“.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>{name} is read-only: look at everything, but save a copy to change it</source>
            <translation>{name} ist schreibgeschützt: alles lässt sich ansehen; zum Ändern eine Kopie speichern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>The notebook's file</source>
            <translation>Die Datei des Hefts</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>{parent} cannot be made: {strerror}; choose another place</source>
            <translation>{parent} lässt sich nicht anlegen: {strerror}; einen anderen Ort wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>{n} logs</source>
            <translation>{n} Logs</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>start a study and drop them on it</source>
            <translation>eine Studie beginnen und sie darauf ablegen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>the logs could not be written into {folder} ({strerror}); choose another folder</source>
            <translation>die Logs ließen sich nicht nach {folder} schreiben ({strerror}); einen anderen Ordner wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/notebooks.py" />
            <source>What is damaged is set aside, the rest works:

· </source>
            <translation>Beschädigtes ist beiseitegelegt, der Rest geht:

· </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/packages.py" />
            <source>With notes, prices paid, labels of samples, paths of logs, photos, own marks and own words</source>
            <translation>Mit Notizen, bezahlten Preisen, Namen der Exemplare, Pfaden der Logs, Fotos, eigenen Noten und eigenen Worten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/packages.py" />
            <source>Raw data as a package</source>
            <translation>Rohdaten als Paket</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/packages.py" />
            <source>All runs of this study with their units, roles, bench and protocol: enough to come to the same verdict.</source>
            <translation>Alle Läufe dieser Studie mit Einheiten, Rollen, Prüfstand und Ablauf: genug, um zum selben Urteil zu kommen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/packages.py" />
            <source>What is private stays here, unless you send it along.</source>
            <translation>Privates bleibt hier, wenn es nicht ausdrücklich mitgeschickt wird.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/packages.py" />
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>writing {name}</source>
            <translation>{name} wird geschrieben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/packages.py" />
            <source>Take in a data package</source>
            <translation>Ein Datenpaket hereinnehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/packages.py" />
            <source>*.zip datapackage.json</source>
            <translation>*.zip datapackage.json</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/packages.py" />
            <source>taking in {name}</source>
            <translation>{name} wird hereingenommen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/packages.py" />
            <source>open a notebook first; the package's study goes into it</source>
            <translation>erst ein Heft öffnen; die Studie des Pakets kommt hinein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/packages.py" />
            <source>{name} with {runs} runs</source>
            <translation>{name} mit {runs} Läufen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/packages.py" />
            <source>{name} is another program's: {found} to be read like logs</source>
            <translation>{name} stammt aus einem anderen Programm: {found}, wie Logs zu lesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/paper.py" />
            <source>Sheet as PDF</source>
            <translation>Blatt als PDF</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/paper.py" />
            <source>setting {name}</source>
            <translation>{name} wird gesetzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/paper.py" />
            <source>Print …</source>
            <translation>Drucken …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/paper.py" />
            <source>Opens the sheet, to be printed there</source>
            <translation>Öffnet das Blatt, um es dort zu drucken</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/paper.py" />
            <source>Sheet as PDF …</source>
            <translation>Blatt als PDF …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/paper.py" />
            <source>{name} is open: print it there</source>
            <translation>{name} ist offen: dort drucken</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/paper.py" />
            <source>the desktop has no program that opens PDF; the sheet is {path}</source>
            <translation>auf diesem Rechner öffnet kein Programm PDF; das Blatt liegt in {path}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/photojobs.py" />
            <source>adding photos</source>
            <translation>Fotos werden hinzugefügt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/photojobs.py" />
            <source>opening photos</source>
            <translation>Fotos werden geöffnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/photojobs.py" />
            <source>a map</source>
            <translation>ein Plan</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/soundjobs.py" />
            <source>listening to the recordings</source>
            <translation>die Aufnahmen werden angehört</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/soundjobs.py" />
            <source>recording sound</source>
            <translation>Schall wird aufgenommen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/soundjobs.py" />
            <source>playing the recording</source>
            <translation>die Aufnahme wird abgespielt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/soundjobs.py" />
            <source>Add recordings</source>
            <translation>Aufnahmen hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/studies.py" />
            <source>looking into the logs</source>
            <translation>die Logs werden angesehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/studies.py" />
            <source>Logs (*.csv *.tsv *.txt *.log);;All files (*)</source>
            <translation>Logs (*.csv *.tsv *.txt *.log);;Alle Dateien (*)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/studies.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/heatpage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/layover.py" />
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <location filename="../../../../src/kuffin/app/frame/finder.py" />
            <location filename="../../../../src/kuffin/app/frame/loomside.py" />
            <source>{name}, round {round}</source>
            <translation>{name}, Runde {round}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/studies.py" />
            <location filename="../../../../src/kuffin/app/frame/copying.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Write out</source>
            <translation>Ausgeben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/studies.py" />
            <source>the table is copied, {rows} rows: paste it into a page or a text</source>
            <translation>die Tabelle ist kopiert, {rows} Zeilen: in eine Seite oder einen Text einfügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/studies.py" />
            <source>change the study</source>
            <translation>die Studie ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/studies.py" />
            <source>Add logs of {candidate}</source>
            <translation>Logs von {candidate} hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/studies.py" />
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>Add logs</source>
            <translation>Logs hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/studies.py" />
            <source>choose a mount on the loom first</source>
            <translation>erst eine Montage am Webstuhl wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/studies.py" />
            <source>drawing {name}</source>
            <translation>{name} wird gezeichnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/acts/typingreadings.py" />
            <source>this study has no candidates yet; name them on the Plan desk first</source>
            <translation>diese Studie hat noch keine Kandidaten; am Pult „Planen“ benennen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/base/faults.py" />
            <source>a fault of Kuffin's own ({name}: {error}); what was kept is safe, go on elsewhere</source>
            <translation>ein Fehler von Kuffin selbst ({name}: {error}); was bewahrt war, ist sicher, anderswo geht es weiter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/base/jobs.py" />
            <source>{label} failed by a fault of Kuffin's own ({name}: {error})</source>
            <translation>{label}: misslungen durch einen Fehler von Kuffin selbst ({name}: {error})</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/base/settings.py" />
            <source>“{key}” is “{found}”</source>
            <translation>„{key}“ ist „{found}“</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/base/settings.py" />
            <source>“{key}” is “{text}”</source>
            <translation>„{key}“ ist „{text}“</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/base/settings.py" />
            <source>{name} is damaged</source>
            <translation>{name} ist beschädigt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>Across studies sets candidates of different studies side by side, through a baseline that both have mounted. This notebook has one study.</source>
            <translation>„Übergreifend“ stellt Kandidaten verschiedener Studien nebeneinander, über einen Bezug, den beide montiert haben. Dieses Heft hat nur eine Studie.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>Candidates of several studies over the shared baseline</source>
            <translation>Kandidaten mehrerer Studien über dem gemeinsamen Bezug</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>The same pair, each on its own bench; nothing is pooled</source>
            <translation>Dasselbe Paar, jedes auf seinem Prüfstand; nichts wird vermengt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>Pairs that several studies have</source>
            <translation>Paare, die mehrere Studien haben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>Part</source>
            <translation>Teil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>What the notebook knows of a part</source>
            <translation>Was das Heft von einem Teil weiß</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>Reading the other studies …</source>
            <translation>Die anderen Studien werden gelesen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>{a} and {b} ({study})</source>
            <translation>{a} und {b} ({study})</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>There</source>
            <translation>Dort</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>Together</source>
            <translation>Zusammen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/claimspage.py" />
            <source>no difference</source>
            <translation>kein Unterschied</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>{baseline}, in each study</source>
            <translation>{baseline}, in jeder Studie</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>no study of this notebook has this part as a candidate yet</source>
            <translation>noch keine Studie dieses Hefts hat dieses Teil als Kandidaten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>{a} less {b}</source>
            <translation>{a} weniger {b}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <location filename="../../../../src/kuffin/app/frame/finder.py" />
            <source>study</source>
            <translation>Studie</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <source>reading</source>
            <translation>Ablesung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>mounts</source>
            <translation>Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>under</source>
            <translation>unter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>where it stands</source>
            <translation>wo es steht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>all that is known of</source>
            <translation>alles, was bekannt ist von</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>Kelvins over {baseline}, which each of these studies mounted, as at {power_w:g} W; plain {confidence:g} % intervals. Candidates of different studies stand apart by more than either line shows, as the baseline's scatter comes in twice: click one for its differences. </source>
            <translation>Kelvin über {baseline}, das jede dieser Studien montiert hat, wie bei {power_w:g} W; einfache Intervalle zu {confidence:g} %. Kandidaten verschiedener Studien liegen unsicherer zueinander, als jede Linie zeigt, denn die Streuung des Bezugs geht doppelt ein: einen anklicken zeigt seine Unterschiede. </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>Nothing can be linked with this study.</source>
            <translation>Nichts lässt sich mit dieser Studie verbinden.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/acrosspage.py" />
            <source>This notebook has one study.</source>
            <translation>Dieses Heft hat nur eine Studie.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>Ageing follows mounts that stay in place: each is tested again after days, weeks and months, and told against the baseline, so that a bench that moved is not taken for a part that aged. Mount and read something first.</source>
            <translation>„Alterung“ verfolgt Montagen, die an ihrem Platz bleiben: jede wird nach Tagen, Wochen und Monaten erneut geprüft und gegen den Bezug gehalten, damit ein Prüfstand, der sich verschoben hat, nicht für ein gealtertes Teil gehalten wird. Erst etwas montieren und ablesen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>Tick what stays in place, the baseline too, and say when it is tested again. A run on such a mount half a day or more after its first one is a recheck: it comes up under Next when it is due, and what the mount was like when it was new stays what the comparison goes by.</source>
            <translation>Ankreuzen, was an seinem Platz bleibt, auch den Bezug, und sagen, wann es wieder geprüft wird. Ein Lauf auf einer solchen Montage, einen halben Tag oder mehr nach ihrem ersten, ist eine Nachprüfung: sie erscheint unter „Weiter“, wenn sie fällig ist; der Vergleich geht weiter nach dem, was die Montage im Neuzustand zeigte.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>Days after the first reading</source>
            <translation>Tage nach der ersten Ablesung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>Rest before the first reading</source>
            <translation>Ruhe vor der ersten Ablesung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>Change since the first reading, less the baseline’s</source>
            <translation>Änderung seit der ersten Ablesung, ohne die des Bezugs</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>Mounts that stay in place</source>
            <translation>Montagen, die an ihrem Platz bleiben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <location filename="../../../../src/kuffin/app/frame/finder.py" />
            <source>mount</source>
            <translation>Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>as read, K</source>
            <translation>wie gelesen, K</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/beforepage.py" />
            <source>change</source>
            <translation>Änderung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>first read</source>
            <translation>erstmals gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>next recheck</source>
            <translation>nächste Nachprüfung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>days since the first reading</source>
            <translation>Tage seit der ersten Ablesung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>change less {base}’s, K</source>
            <translation>Änderung ohne die von {base}, K</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>day {days:.0f}: {value}</source>
            <translation>Tag {days:.0f}: {value}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>day {days:.0f}: not read</source>
            <translation>Tag {days:.0f}: nicht gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>such as </source>
            <translation>etwa </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>change the days of rechecks</source>
            <translation>die Tage der Nachprüfungen ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>say that a mount stays in place</source>
            <translation>sagen, dass eine Montage an ihrem Platz bleibt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>take a mount out of its place</source>
            <translation>eine Montage von ihrem Platz nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>change the rest</source>
            <translation>die Ruhezeit ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>stays in place</source>
            <translation>bleibt am Platz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>No recheck yet: nothing may be said of ageing.</source>
            <translation>Noch keine Nachprüfung: über Alterung lässt sich nichts sagen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>No recheck is planned.</source>
            <translation>Keine Nachprüfung ist geplant.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>tested again after</source>
            <translation>wieder geprüft nach</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>days</source>
            <translation>Tagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/ageingpage.py" />
            <source>rest before the first reading</source>
            <translation>Ruhe vor der ersten Ablesung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>Sweep sets an outcome against fan speed, pump speed, flow, power or loudness. It needs mounts that were tested at three settings or more: let the protocol sweep one (Plan · Protocol), or type readings for each setting.</source>
            <translation>„Verlauf“ zeigt ein Ergebnis über Lüfterdrehzahl, Pumpendrehzahl, Durchfluss, Leistung oder Lautstärke. Es braucht Montagen, die bei drei Einstellungen oder mehr geprüft wurden: den Ablauf eine durchfahren lassen (Planen · Ablauf) oder zu jeder Einstellung Werte eintippen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>Each at its own operating point ({label}): {told}.</source>
            <translation>Jeder in seinem eigenen Betriebspunkt ({label}): {told}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>What is compared</source>
            <translation>Was verglichen wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>Along what</source>
            <translation>Entlang wovon</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>Place where candidates are read off</source>
            <translation>Stelle, an der abgelesen wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>Value that is wanted</source>
            <translation>Gewünschter Wert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>Outcome along the sweep</source>
            <translation>Ergebnis entlang des Verlaufs</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>Candidates at that place</source>
            <translation>Kandidaten an dieser Stelle</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>Along the whole range</source>
            <translation>Über den ganzen Bereich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>What it takes</source>
            <translation>Was es braucht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>Settings that no other beats</source>
            <translation>Einstellungen, die keine andere schlägt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>Small marks and thin lines are mounts, each with its own curve; bands are candidates’ means with their interval. A curve is read no further than a tenth (3 dB) outside its sweep. What a meter is off by in all mounts cancels between candidates, and is not in it.</source>
            <translation>Kleine Zeichen und dünne Linien sind Montagen, jede mit ihrer eigenen Kurve; Bänder sind die Mittel der Kandidaten mit ihrem Intervall. Eine Kurve wird höchstens um ein Zehntel (3 dB) über ihren Bereich hinaus gelesen. Worin ein Messgerät bei allen Montagen gleich danebenliegt, hebt sich zwischen Kandidaten auf und ist nicht darin.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>for</source>
            <translation>für</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>setting</source>
            <translation>Einstellung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>it gives</source>
            <translation>sie bringt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>Not in it: {lacking}.</source>
            <translation>Nicht darin: {lacking}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <location filename="../../../../src/kuffin/app/frame/finder.py" />
            <source>candidate</source>
            <translation>Kandidat</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>{n}, round {round}</source>
            <translation>{n}, Runde {round}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>along</source>
            <translation>entlang</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>read off at</source>
            <translation>abgelesen bei</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <source>{label} along itself says nothing; choose another outcome, or go along something else</source>
            <translation>{label} über sich selbst sagt nichts; ein anderes Ergebnis wählen, oder entlang von etwas anderem</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <location filename="../../../../src/kuffin/app/frame/strip.py" />
            <source>{n} mount</source>
            <translation>{n} Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/alongpage.py" />
            <location filename="../../../../src/kuffin/app/frame/strip.py" />
            <source>{n} mounts</source>
            <translation>{n} Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/baselinepage.py" />
            <source>Baseline charts the candidate that is mounted again and again to watch the bench. Choose one on the Plan desk's question page; two mounts of it or more draw the chart.</source>
            <translation>„Bezug“ zeigt den Kandidaten, der immer wieder montiert wird, um den Prüfstand zu überwachen. Einen auf der Fragenseite des Pults „Planen“ wählen; zwei Montagen davon oder mehr ergeben die Karte.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/baselinepage.py" />
            <source>take the bench's move out of all mounts</source>
            <translation>die Verschiebung des Prüfstands aus allen Montagen nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/baselinepage.py" />
            <source>How far the bench moved is fitted beside the candidates, so that the intervals hold what is uncertain about it. It is said wherever the study is told.</source>
            <translation>Wie weit sich der Prüfstand verschoben hat, wird neben den Kandidaten angepasst; die Intervalle enthalten also, was daran unsicher ist. Das wird überall gesagt, wo die Studie erzählt wird.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/baselinepage.py" />
            <source>What correcting would change</source>
            <translation>Was die Korrektur ändern würde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/baselinepage.py" />
            <source>Limits are {factor:.1f} standard deviations ({sd} K, {df:g} degrees of freedom) from the middle: passed by chance as rarely as three of a known one. A step between days and a trend are tried together, with a chance of 5 % of a false alarm. The points are the readings as they were, uncorrected.</source>
            <translation>Die Grenzen liegen {factor:.1f} Standardabweichungen ({sd} K, {df:g} Freiheitsgrade) von der Mitte: durch Zufall so selten überschritten wie drei einer bekannten. Ein Sprung zwischen Tagen und ein Trend werden zusammen geprüft, mit 5 % Wahrscheinlichkeit eines Fehlalarms. Die Punkte sind die Ablesungen, wie sie waren, unkorrigiert.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/baselinepage.py" />
            <source>Correcting changes no verdict.</source>
            <translation>Die Korrektur ändert kein Urteil.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/baselinepage.py" />
            <source>Correcting changes what is said of {changed} of {rows} pairs.</source>
            <translation>Die Korrektur ändert, was über {changed} von {rows} Paaren gesagt wird.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/baselinepage.py" />
            <source>correct by the baseline</source>
            <translation>nach dem Bezug korrigieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/baselinepage.py" />
            <source>no longer correct by the baseline</source>
            <translation>nicht mehr nach dem Bezug korrigieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/baselinepage.py" />
            <source> Rounds are blocks here, so what a whole round had in common is taken out of the comparison already.</source>
            <translation> Runden sind hier Blöcke: was eine ganze Runde gemeinsam hatte, ist schon aus dem Vergleich genommen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/baselinepage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/schoolspage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>pair</source>
            <translation>Paar</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/baselinepage.py" />
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>as read</source>
            <translation>wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/baselinepage.py" />
            <source>corrected by the baseline</source>
            <translation>nach dem Bezug korrigiert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/claimspage.py" />
            <source>Claims holds what makers say against what was measured: refuted, borne out, or open. This study has no claim yet; add one on the Plan desk's question page, or write it on a part's page on the Shelf.</source>
            <translation>„Angaben“ hält das, was Hersteller sagen, gegen das Gemessene: widerlegt, bestätigt oder offen. Diese Studie hat noch keine Angabe; auf der Fragenseite des Pults „Planen“ hinzufügen, oder auf der Seite eines Teils im Regal eintragen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/claimspage.py" />
            <source>Claims against what was measured</source>
            <translation>Angaben gegen das Gemessene</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/claimspage.py" />
            <source>Conditions of claims and tests</source>
            <translation>Bedingungen der Angaben und der Prüfungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/claimspage.py" />
            <source>Under each condition</source>
            <translation>Unter jeder Bedingung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/claimspage.py" />
            <source>Claims under each condition</source>
            <translation>Angaben unter jeder Bedingung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/claimspage.py" />
            <source>better than the other: measured interval, and from where the claim would hold</source>
            <translation>besser als das andere: gemessenes Intervall, und ab wo die Angabe zuträfe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/claimspage.py" />
            <source>claim</source>
            <translation>Angabe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/claimspage.py" />
            <source>made</source>
            <translation>aufgestellt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/claimspage.py" />
            <source>tested at</source>
            <translation>geprüft bei</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/claimspage.py" />
            <source>judging the claims under each condition</source>
            <translation>die Angaben werden unter jeder Bedingung beurteilt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/claimspage.py" />
            <source>Claims in another unit</source>
            <translation>Angaben in anderer Einheit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <source>Outcomes</source>
            <translation>Ergebnisse</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <source>Trust</source>
            <translation>Sicher?</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <source>Elsewhere</source>
            <translation>Anderswo</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <source>Sweep</source>
            <translation>Verlauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <source>Schools</source>
            <translation>Schulen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>Claims</source>
            <translation>Angaben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>Rounds</source>
            <translation>Runden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <source>Scatter</source>
            <translation>Streuung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>Baseline</source>
            <translation>Bezug</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <source>Left out</source>
            <translation>Nicht gezählt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <source>Value</source>
            <translation>Wert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <source>What if</source>
            <translation>Was wäre, wenn</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <source>Ageing</source>
            <translation>Alterung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <source>Across</source>
            <translation>Übergreifend</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <source>Words</source>
            <translation>Worte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/desk.py" />
            <source>Verdict</source>
            <translation>Urteil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>Weight, fins, finish, contents and defects are told on the parts' pages on the Shelf; the time to fit is the change-over's own clock. Marks (0 to 10) are the reviewer's, not measurements; they take no part in any verdict.</source>
            <translation>Gewicht, Lamellen, Verarbeitung, Lieferumfang und Mängel stehen auf den Seiten der Teile im Regal; die Einbauzeit ist die Uhr des Umbaus selbst. Noten (0 bis 10) sind die des Testers, keine Messungen; sie gehen in kein Urteil ein.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>In the hand</source>
            <translation>In der Hand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>Reviewer's marks</source>
            <translation>Noten des Testers</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>finish</source>
            <translation>Verarbeitung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>ease of fitting</source>
            <translation>Montagefreundlichkeit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>what is in the box</source>
            <translation>Lieferumfang</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>manual</source>
            <translation>Anleitung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>mark {marks}</source>
            <translation>Note {marks}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>add a mark</source>
            <translation>eine Note hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>mark for</source>
            <translation>Note für</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>Add a mark</source>
            <translation>Note hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>Remove it</source>
            <translation>Entfernen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>remove a mark</source>
            <translation>eine Note entfernen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>give a mark</source>
            <translation>eine Note geben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>choose a mark in the table first</source>
            <translation>erst eine Note in der Tabelle wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>a mark needs a name of its own</source>
            <translation>eine Note braucht einen eigenen Namen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>rename a mark</source>
            <translation>eine Note umbenennen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/handsection.py" />
            <source>“{content}” is no mark; write 0 to 10</source>
            <translation>„{content}“ ist keine Note; 0 bis 10 schreiben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <source>Left out lists every mount that does not count, and why, with what would be said if it did. Nothing is left out in this study. A mount is left out on the Inspect desk, with a reason.</source>
            <translation>„Nicht gezählt“ führt jede Montage auf, die nicht zählt, und warum, und was gesagt würde, wenn sie zählte. In dieser Studie zählt jede. Ausgenommen wird eine Montage am Pult „Ansehen“, mit einem Grund.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <source>Mounts that are left out</source>
            <translation>Montagen, die nicht zählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <source>Verdicts without and with them</source>
            <translation>Urteile ohne sie und mit ihnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <source>it</source>
            <translation>sie</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <source>them</source>
            <translation>sie</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <source>its reading</source>
            <translation>ihre Ablesung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>left out</source>
            <translation>nicht gezählt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <source>reason</source>
            <translation>Grund</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <source>With {what} counted, every verdict would be the same.</source>
            <translation>Zählte man {what} mit, wäre jedes Urteil dasselbe.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <source>With {what} counted, {changed} of {rows} pairs would be judged otherwise (marked *).</source>
            <translation>Zählte man {what} mit, würden {changed} von {rows} Paaren anders beurteilt (mit * markiert).</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <source>without {what}</source>
            <translation>ohne {what}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/leftoutpage.py" />
            <source>with {what} counted</source>
            <translation>mit {what}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/otherstudies.py" />
            <source>reading the other studies</source>
            <translation>die anderen Studien werden gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>Outcomes sets the candidates side by side by all that was measured (temperatures, clock, power, flow, loudness, numbers asked for) and under several conditions. It needs mounts to compare.</source>
            <translation>„Ergebnisse“ stellt die Kandidaten nach allem nebeneinander, was gemessen wurde (Temperaturen, Takt, Leistung, Durchfluss, Lautstärke, erfragte Zahlen), und unter mehreren Bedingungen. Dazu braucht es Montagen, die sich vergleichen lassen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>How the cells are judged</source>
            <translation>Wie die Felder beurteilt werden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>The condition that the verdict line is about</source>
            <translation>Die Bedingung, von der die Urteilszeile spricht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>outcomes shown …</source>
            <translation>gezeigte Ergebnisse …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>Which outcomes stand in the grid; all its cells share one confidence</source>
            <translation>Welche Ergebnisse im Raster stehen; alle Felder teilen sich eine Sicherheit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>the verdict line is about</source>
            <translation>die Urteilszeile spricht von</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>Judged {told}. Each cell shows how far each is behind its best candidate; brackets join candidates that are not told apart. Click a cell for its pairs.</source>
            <translation>Beurteilt: {told}. Jedes Feld zeigt, wie weit jeder hinter dem Besten liegt; Klammern verbinden Kandidaten, die sich nicht unterscheiden lassen. Ein Feld anklicken zeigt seine Paare.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>Comparing …</source>
            <translation>Wird verglichen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>comparing the conditions</source>
            <translation>die Bedingungen werden verglichen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>say which way is better</source>
            <translation>sagen, welche Richtung besser ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>judge the outcomes otherwise</source>
            <translation>die Ergebnisse anders beurteilen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>judge another condition</source>
            <translation>eine andere Bedingung beurteilen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>judged</source>
            <translation>beurteilt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>Nothing is told apart in any cell yet.</source>
            <translation>In keinem Feld lässt sich bisher etwas unterscheiden.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>show another outcome</source>
            <translation>ein weiteres Ergebnis zeigen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>show an outcome no longer</source>
            <translation>ein Ergebnis nicht mehr zeigen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>all cells together</source>
            <translation>alle Felder zusammen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>each cell on its own</source>
            <translation>jedes Feld für sich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/outcomespage.py" />
            <source>Less is better: {label}</source>
            <translation>Weniger ist besser: {label}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>Rounds says whether it is enough, and what the next round could still change. It needs two candidates with mounts.</source>
            <translation>„Runden“ sagt, ob es reicht, und was die nächste Runde noch ändern könnte. Dazu braucht es zwei Kandidaten mit Montagen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>These are the plan's usual looks; write your own, such as “2, 4”. Whoever judges again and again and stops when it pleases finds differences that are not there: so each look is paid for, and rounds past the plan too.</source>
            <translation>Das sind die üblichen Blicke des Plans; eigene eintragen, etwa „2, 4“. Wer immer wieder urteilt und aufhört, wenn es gefällt, findet Unterschiede, die es nicht gibt: darum wird jeder Blick bezahlt, auch Runden über den Plan hinaus.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>such as 2, 4</source>
            <translation>etwa 2, 4</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>Looks: after which rounds the study is judged</source>
            <translation>Blicke: nach welchen Runden die Studie beurteilt wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>Looks and what each costs</source>
            <translation>Blicke und was jeder kostet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>What the next round could change</source>
            <translation>Was die nächste Runde ändern könnte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>Chances are drawn from what is known now: the scatter, the means, and one more mount of each candidate.</source>
            <translation>Die Wahrscheinlichkeiten sind aus dem gezogen, was jetzt bekannt ist: Streuung, Mittel und eine weitere Montage je Kandidat.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>What to mount next</source>
            <translation>Was als Nächstes zu montieren ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>Plan this round</source>
            <translation>Diese Runde planen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>What was planned and not begun goes to the bin; Ctrl+Z brings it back</source>
            <translation>Was geplant und nicht begonnen war, kommt in den Papierkorb; Strg+Z holt es zurück</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>weighing what to mount next</source>
            <translation>es wird abgewogen, was als Nächstes zu montieren ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>Accept {margin_to_accept:g} K as what matters</source>
            <translation>{margin_to_accept:g} K als das annehmen, worauf es ankommt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>plan {names} next</source>
            <translation>als Nächstes {names} planen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>accept {margin:g} K as what matters</source>
            <translation>{margin:g} K als das annehmen, worauf es ankommt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>now</source>
            <translation>jetzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>chance of another verdict</source>
            <translation>Wahrscheinlichkeit eines anderen Urteils</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>it would be</source>
            <translation>es wäre</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>had</source>
            <translation>gehabt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>, past the plan</source>
            <translation>, über den Plan hinaus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>look</source>
            <translation>Blick</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>confidence</source>
            <translation>Sicherheit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>mounted again</source>
            <translation>erneut montiert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>takes</source>
            <translation>dauert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>tells which is best</source>
            <translation>sagt, was das Beste ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>an answer takes</source>
            <translation>eine Antwort dauert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>declare the looks</source>
            <translation>die Blicke festlegen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>take the usual looks</source>
            <translation>die üblichen Blicke nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>judged after rounds</source>
            <translation>beurteilt nach den Runden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/schoolspage.py" />
            <source>in use</source>
            <translation>gilt jetzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>to come</source>
            <translation>kommt noch</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>after round {n}{past}</source>
            <translation>nach Runde {n}{past}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/roundspage.py" />
            <source>under 1 %</source>
            <translation>unter 1 %</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>Scatter splits what mounts of one candidate differ by into its sources. It needs a second mount of one candidate.</source>
            <translation>„Streuung“ teilt auf, worin sich Montagen eines Kandidaten unterscheiden. Dazu braucht es eine zweite Montage eines Kandidaten.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>What the verdict is about</source>
            <translation>Wovon das Urteil spricht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>Spread of the mounts</source>
            <translation>Spanne der Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>Samples</source>
            <translation>Exemplare</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>What to spend on</source>
            <translation>Wofür Aufwand lohnt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>how it was split ›</source>
            <translation>wie geteilt wurde ›</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>What the scatter is made of; show its working</source>
            <translation>Woraus die Streuung besteht; den Rechenweg zeigen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>standard deviation of each source, under the school in use</source>
            <translation>Standardabweichung jeder Quelle, nach der geltenden Schule</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>sample</source>
            <translation>Exemplar</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>mean of its mounts</source>
            <translation>Mittel seiner Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>change what the verdict is about</source>
            <translation>ändern, wovon das Urteil spricht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>change how spreads are taken</source>
            <translation>ändern, wie Spannen genommen werden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>as the samples allow</source>
            <translation>wie die Exemplare es erlauben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>about these samples</source>
            <translation>von diesen Exemplaren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>about the products</source>
            <translation>von den Produkten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>as noticed</source>
            <translation>wie bemerkt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>one for all</source>
            <translation>eine für alle</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>each candidate its own</source>
            <translation>jeder Kandidat die eigene</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>sample {label}</source>
            <translation>Exemplar {label}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>spent on</source>
            <translation>Aufwand für</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>on the bench</source>
            <translation>am Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>interval then</source>
            <translation>Intervall dann</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>the verdict is</source>
            <translation>das Urteil spricht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>spread of the mounts</source>
            <translation>Spanne der Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>Not to be seen apart here: </source>
            <translation>Hier nicht zu trennen: </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/scatterpage.py" />
            <source>{candidate}, sample {label}</source>
            <translation>{candidate}, Exemplar {label}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/schoolspage.py" />
            <source>Schools shows what other ways of taking out room, power and flow would have said of the same mounts. It needs two candidates with a mount each.</source>
            <translation>„Schulen“ zeigt, was andere Arten, Raum, Leistung und Durchfluss herauszunehmen, zu denselben Montagen gesagt hätten. Dazu braucht es zwei Kandidaten mit je einer Montage.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/schoolspage.py" />
            <source>Pairs that another school judges otherwise</source>
            <translation>Paare, die eine andere Schule anders beurteilt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/schoolspage.py" />
            <source>Click a school to judge the study by it; undo takes it back.</source>
            <translation>Eine Schule anklicken, um die Studie nach ihr zu beurteilen; rückgängig geht.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/schoolspage.py" />
            <source>other school</source>
            <translation>andere Schule</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/schoolspage.py" />
            <source>which</source>
            <translation>welche</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/schoolspage.py" />
            <source>what makes the difference</source>
            <translation>was den Unterschied macht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/schoolspage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>choose another school</source>
            <translation>eine andere Schule wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <source>Value sets price against temperature. It needs a comparison, and prices on the parts' pages on the Shelf.</source>
            <translation>„Wert“ stellt Preis gegen Temperatur. Dazu braucht es einen Vergleich, und Preise auf den Seiten der Teile im Regal.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <source>Price and temperature</source>
            <translation>Preis und Temperatur</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <source>What a user would notice</source>
            <translation>Was man beim Benutzen merkt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <source>Clock, score, loudness: means over the mounts under the same load, with the plain interval; “told apart” as in every comparison here.</source>
            <translation>Takt, Punkte, Lautstärke: Mittel über die Montagen unter derselben Last, mit dem einfachen Intervall; „unterscheidbar“ wie in jedem Vergleich hier.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <source>Tones that are heard</source>
            <translation>Töne, die man hört</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>price</source>
            <translation>Preis</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <source>what the money buys</source>
            <translation>was das Geld bringt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <source>no two are told apart</source>
            <translation>keine zwei lassen sich unterscheiden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>tone</source>
            <translation>Ton</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>whose it may be</source>
            <translation>woher er sein kann</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <source>means</source>
            <translation>Mittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>what may be said</source>
            <translation>was gesagt werden darf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <source>the cheapest</source>
            <translation>der günstigste</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/valuepage.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>whole set</source>
            <translation>ganzes Set</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>School: what is taken out</source>
            <translation>Schule: was herausgenommen wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>Smallest difference that matters</source>
            <translation>Kleinster Unterschied, auf den es ankommt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>rounds are blocks</source>
            <translation>Runden sind Blöcke</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>Take out what a whole round had in common, such as an afternoon. Only where rounds were planned.</source>
            <translation>Herausnehmen, was eine ganze Runde gemeinsam hatte, etwa einen Nachmittag. Nur wo Runden geplant waren.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>Confidence, over all pairs and looks together</source>
            <translation>Sicherheit, über alle Paare und Blicke zusammen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>How sure a verdict has to be. Choose it before you look: 95 % is usual.</source>
            <translation>Wie sicher ein Urteil sein muss. Vor dem Hinsehen wählen: 95 % sind üblich.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>Pairs and their verdicts</source>
            <translation>Paare und ihre Urteile</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source> · click any number for its working</source>
            <translation> · jede Zahl anklicken zeigt ihren Rechenweg</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>The first {MOST_PAIRS} of {pairs} pairs; all of them are in the words and in the verdicts that are exported. {foot}</source>
            <translation>Die ersten {MOST_PAIRS} von {pairs} Paaren; alle stehen in den Worten und in den ausgegebenen Urteilen. {foot}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>judge by something else</source>
            <translation>nach etwas anderem urteilen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>change the confidence</source>
            <translation>die Sicherheit ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>difference</source>
            <translation>Unterschied</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>interval</source>
            <translation>Intervall</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>a difference matters from</source>
            <translation>ein Unterschied zählt ab</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>Takes out {takes_out}. Right for {right_when}.</source>
            <translation>Nimmt heraus: {takes_out}. Richtig für: {right_when}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>temperature</source>
            <translation>Temperatur</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>change the margin</source>
            <translation>ändern, ab wann es zählt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>count rounds as blocks</source>
            <translation>Runden als Blöcke zählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>not count rounds as blocks</source>
            <translation>Runden nicht als Blöcke zählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <location filename="../../../../src/kuffin/app/frame/header.py" />
            <source>Reading the runs …</source>
            <translation>Die Läufe werden gelesen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>Compare shows what may honestly be said of the candidates, with each mount as one observation. Drop the logs of a few mounts on the loom to begin.</source>
            <translation>„Vergleichen“ zeigt, was ehrlich über die Kandidaten gesagt werden darf; jede Montage ist eine Beobachtung. Die Logs einiger Montagen auf dem Webstuhl ablegen, um zu beginnen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source>Click or F1: show the working</source>
            <translation>Klick oder F1: den Rechenweg zeigen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/verdictpage.py" />
            <source> (usual)</source>
            <translation> (üblich)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>What if carries what was measured to another power, room, fan or pump speed, part or coolant. It needs temperatures per watt of two mounts of a candidate at least; every step says whether it was measured, carried or estimated.</source>
            <translation>„Was wäre, wenn“ überträgt das Gemessene auf andere Leistung, anderen Raum, andere Lüfter- oder Pumpendrehzahl, ein anderes Teil oder Kühlmittel. Dazu braucht es Temperaturen je Watt von mindestens zwei Montagen eines Kandidaten; bei jedem Schritt steht, ob er gemessen, übertragen oder geschätzt ist.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>as on the bench</source>
            <translation>wie am Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>Power of the device</source>
            <translation>Leistung des Geräts</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>Air</source>
            <translation>Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>Fans</source>
            <translation>Lüfter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>Pump</source>
            <translation>Pumpe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>Limit</source>
            <translation>Grenze</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>Another part</source>
            <translation>Ein anderes Teil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>Another coolant</source>
            <translation>Ein anderes Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>Temperature against power</source>
            <translation>Temperatur über Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>Candidates as they would be</source>
            <translation>Die Kandidaten, wie sie wären</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>Intervals are for one more mount of each (95 %). Measured: along what was swept. Carried: a rise per watt, taken to another power. Estimated: beyond that, or by what fans and flow usually do; dashed in the picture.</source>
            <translation>Die Intervalle gelten für je eine weitere Montage (95 %). Gemessen: entlang dessen, was durchfahren wurde. Übertragen: ein Anstieg je Watt, auf andere Leistung gebracht. Geschätzt: darüber hinaus, oder nach dem, was Lüfter und Durchfluss gewöhnlich tun; im Bild gestrichelt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>the die</source>
            <translation>der Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>the coolant</source>
            <translation>das Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source> {beyond} beyond what was measured.</source>
            <translation> {beyond} jenseits des Gemessenen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>{asked}: {coolest} is coolest under {candidate}, {foreseen}, {label}.{beyond}</source>
            <translation>{asked}: {coolest} ist am kühlsten unter {candidate}, {foreseen}, {label}.{beyond}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <location filename="../../../../src/kuffin/app/widgets/padmap.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>die</source>
            <translation>Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/coolantchoice.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>coolant</source>
            <translation>Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <location filename="../../../../src/kuffin/app/desks/prepare/bleed.py" />
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <location filename="../../../../src/kuffin/core/flow/curvekinds.py" />
            <source>flow</source>
            <translation>Durchfluss</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>how it is known</source>
            <translation>woher man es weiß</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>carrying what was measured</source>
            <translation>das Gemessene wird übertragen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>power, W</source>
            <translation>Leistung, W</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>with</source>
            <translation>mit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/coolantchoice.py" />
            <source>water</source>
            <translation>Wasser</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/coolantchoice.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>at</source>
            <translation>bei</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>air</source>
            <translation>Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>fans</source>
            <translation>Lüfter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>%, pump</source>
            <translation>%, Pumpe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>%, limit</source>
            <translation>%, Grenze</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>not within what can be said</source>
            <translation>nicht in dem, was sich sagen lässt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>not by the fans</source>
            <translation>nicht mit den Lüftern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>power at {limit_c:g} °C</source>
            <translation>Leistung bei {limit_c:g} °C</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/whatifpage.py" />
            <source>fans for {limit_c:g} °C</source>
            <translation>Lüfter für {limit_c:g} °C</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/wordspage.py" />
            <source>Words writes what may be said of each pair and claim, to be printed as it is. It </source>
            <translation>„Worte“ schreibt, was über jedes Paar und jede Angabe gesagt werden darf, druckreif. Es </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/wordspage.py" />
            <source>Copied.</source>
            <translation>Kopiert.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/wordspage.py" />
            <source>{more} further pairs are in the copied text.</source>
            <translation>{more} weitere Paare stehen im kopierten Text.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/wordspage.py" />
            <source>Copy all</source>
            <translation>Alles kopieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/compare/wordspage.py" />
            <source>All sentences as plain text</source>
            <translation>Alle Sätze als reiner Text</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <source>reason, in a few words</source>
            <translation>Grund, in ein paar Worten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <source>Reason for leaving the mount out, making it again, or keeping it</source>
            <translation>Grund, die Montage nicht zu zählen, zu wiederholen oder zu behalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <source>Leave out</source>
            <translation>Nicht zählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <source>Remount</source>
            <translation>Neu montieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <source>Leave this mount out and plan it once more in the same round</source>
            <translation>Diese Montage nicht zählen und in derselben Runde noch einmal planen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <source>Repair</source>
            <translation>Instand setzen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <source>Other pads, screws tightened again: the same sample's next state, held beside this one</source>
            <translation>Andere Pads, Schrauben nachgezogen: der nächste Zustand desselben Exemplars, neben diesen gehalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <source>Accept</source>
            <translation>Gelten lassen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <source>It counts in spite of what was found</source>
            <translation>Sie zählt trotz des Befunds</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <source>Could not be finished</source>
            <translation>War nicht zu Ende zu bringen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <source>It was shut down or stopped at a limit: that is a result, and is counted as one</source>
            <translation>Sie wurde an einer Grenze abgeschaltet oder angehalten: auch das ist ein Ergebnis und wird so gezählt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <source>Take it back in</source>
            <translation>Wieder zählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/answers.py" />
            <source>It was finished</source>
            <translation>Sie kam zu Ende</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/beforepage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <source>Before and after</source>
            <translation>Vorher und nachher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/beforepage.py" />
            <source>{name}, round {round}: before and after</source>
            <translation>{name}, Runde {round}: vorher und nachher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/beforepage.py" />
            <source>The same sample in two states. What was done: {left_out}. One mount of each: what the change owes to mounting alone is not known.</source>
            <translation>Dasselbe Exemplar in zwei Zuständen. Was getan wurde: {left_out}. Je eine Montage: was die Änderung allein dem Montieren verdankt, ist nicht bekannt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/beforepage.py" />
            <source>Its prints</source>
            <translation>Seine Abdrücke</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/beforepage.py" />
            <source>before</source>
            <translation>vorher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/beforepage.py" />
            <source>after</source>
            <translation>nachher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/beforepage.py" />
            <source>Print {PRINT_SIDES}, {told}</source>
            <translation>Abdruck {PRINT_SIDES}, {told}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/beforepage.py" />
            <source>{label}: before and after</source>
            <translation>{label}: vorher und nachher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/beforepage.py" />
            <source>no print was read</source>
            <translation>kein Abdruck gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/beforepage.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <location filename="../../../../src/kuffin/app/dialogs/cooledrow.py" />
            <location filename="../../../../src/kuffin/app/dialogs/incoming.py" />
            <source>not said</source>
            <translation>nicht gesagt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/beforepage.py" />
            <source>not run in both states yet</source>
            <translation>noch nicht in beiden Zuständen gelaufen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>{clock_free_mhz} to {clock_held_mhz} MHz</source>
            <translation>{clock_free_mhz} auf {clock_held_mhz} MHz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>{share} % of the load</source>
            <translation>{share} % der Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>Throttled in {share}, at {limit_c} °C, from {since_s} min on: {how}.</source>
            <translation>Gedrosselt in {share}, bei {limit_c} °C, ab {since_s} min: {how}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>Two things are called “1 % low”; a number without its definition cannot be compared. Join a log of frame times on the page “The run”.</source>
            <translation>Zweierlei heißt „1 % low“; eine Zahl ohne ihre Definition lässt sich nicht vergleichen. Auf der Seite „Der Lauf“ ein Log der Bildzeiten verbinden.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>Not throttled: no clock was seen to be lost at a temperature limit.</source>
            <translation>Nicht gedrosselt: an keiner Temperaturgrenze ging Takt verloren.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>the clock gave way from {clock} as the coolant warmed</source>
            <translation>der Takt gab nach, ab {clock}, während das Kühlmittel warm wurde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>from {clock}</source>
            <translation>ab {clock}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>Clock against temperature, under load</source>
            <translation>Takt gegen Temperatur, unter Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>Boost steps lost</source>
            <translation>Verlorene Taktstufen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>Scores and frame times</source>
            <translation>Punkte und Bildzeiten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>Frame rates</source>
            <translation>Bildraten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>Held in the window: {held} MHz on average, above {low} MHz 99 % of the time. A kelvin costs {cost} ± {spread} MHz here: one kelvin cooler buys as much.</source>
            <translation>Im Fenster gehalten: {held} MHz im Mittel, 99 % der Zeit über {low} MHz. Ein Kelvin kostet hier {cost} ± {spread} MHz: ein Kelvin kühler bringt ebenso viel.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>score, or average rate</source>
            <translation>Punkte, oder mittlere Rate</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>1 % low: rate at the 99th percentile</source>
            <translation>1 % low: Rate am 99. Perzentil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>1 % low: mean of the slowest 1 %</source>
            <translation>1 % low: Mittel des langsamsten 1 %</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>The die went through too few degrees under load to see steps.</source>
            <translation>Der Chip durchlief unter Last zu wenige Grade, um Stufen zu sehen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>This run has no clock channel; give one its role under Channels, or join a log that has it.</source>
            <translation>Dieser Lauf hat keinen Taktkanal; unter „Kanäle“ einem die Rolle geben, oder ein Log verbinden, das ihn hat.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>above {at_c} °C</source>
            <translation>über {at_c} °C</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>step lost</source>
            <translation>verlorene Stufe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>clock</source>
            <translation>Takt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>none</source>
            <translation>keine</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/clockpage.py" />
            <source>no step lost</source>
            <translation>keine Stufe verloren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <source>Inspect shows one mount's run: where it settled, what was still to go, and whether it should count. Choose a mount on the loom.</source>
            <translation>„Ansehen“ zeigt den Lauf einer Montage: wo er einschwang, was noch fehlte, und ob er zählen soll. Eine Montage am Webstuhl wählen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <source>Test of this mount</source>
            <translation>Prüfung dieser Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <source>recheck</source>
            <translation>Nachprüfung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <source>The mount was left in place and tested again later: it tells of ageing, and is not part of the comparison</source>
            <translation>Die Montage blieb am Platz und wurde später erneut geprüft: das sagt etwas über Alterung und gehört nicht zum Vergleich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Tests of this mount …</source>
            <translation>Prüfungen dieser Montage …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <source>Say what its logs were tested under and run with, or that other mounts' logs are tests of it</source>
            <translation>Sagen, unter was ihre Logs geprüft und womit sie gefahren wurden, oder dass Logs anderer Montagen Prüfungen von ihr sind</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <source>The run</source>
            <translation>Der Lauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Findings</source>
            <translation>Befunde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <source>Heat path</source>
            <translation>Wärmeweg</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>Figures</source>
            <translation>Zahlen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <source>Clock and frames</source>
            <translation>Takt und Bilder</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/desk.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Sound</source>
            <translation>Schall</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/facts.py" />
            <source>{name}: {value}; show its working</source>
            <translation>{name}: {value}; den Rechenweg zeigen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>coolant over air</source>
            <translation>Kühlmittel über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>die over coolant</source>
            <translation>Chip über Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>The whole-trace fit uses power and air as they were measured, so a drifting room or a short run does it little harm. </source>
            <translation>Die Anpassung an die ganze Kurve nimmt Leistung und Luft, wie sie gemessen wurden; ein driftender Raum oder ein kurzer Lauf schaden ihr daher wenig. </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>The reading, two ways</source>
            <translation>Die Ablesung, auf zwei Arten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>The reading by window and by the whole trace</source>
            <translation>Die Ablesung nach Fenster und nach der ganzen Kurve</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>What makes its uncertainty</source>
            <translation>Woraus ihre Unsicherheit besteht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>Uncertainty budget</source>
            <translation>Unsicherheitsbudget</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>Idle</source>
            <translation>Leerlauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>Idle readings</source>
            <translation>Ablesungen im Leerlauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>Spread and extremes</source>
            <translation>Spanne und Extreme</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>whole trace</source>
            <translation>ganze Kurve</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>window</source>
            <translation>Fenster</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>at {power} W</source>
            <translation>bei {power} W</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>cancels</source>
            <translation>hebt sich auf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>scales with it</source>
            <translation>wächst mit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>counts twice</source>
            <translation>zählt doppelt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>source</source>
            <translation>Quelle</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>in the value, u</source>
            <translation>im Wert, u</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>share</source>
            <translation>Anteil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>between candidates</source>
            <translation>zwischen Kandidaten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>in a difference, u</source>
            <translation>in einer Differenz, u</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>Coolant over air that no heat explains: {rest_k} K. It should be near 0; a probe's offset or warm air at the intake shows here.</source>
            <translation>Kühlmittel über Luft, das keine Wärme erklärt: {rest_k} K. Es sollte nahe 0 sein; hier zeigt sich der Versatz eines Fühlers oder warme Luft am Einlass.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>in the window</source>
            <translation>im Fenster</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>mean</source>
            <translation>Mittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>scatter</source>
            <translation>Streuung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>exceeded 1 % of the time</source>
            <translation>1 % der Zeit überschritten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>highest seen</source>
            <translation>höchster gesehener Wert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>{state}, {begin} to {end} min</source>
            <translation>{state}, {begin} bis {end} min</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>all together (U95)</source>
            <translation>alles zusammen (U95)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>last 3 min before the load</source>
            <translation>letzte 3 min vor der Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>not to be had</source>
            <translation>nicht zu bekommen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <location filename="../../../../src/kuffin/core/bench/protocol.py" />
            <source>by the clock</source>
            <translation>nach der Uhr</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>scatter between mounts (U95)</source>
            <translation>Streuung zwischen Montagen (U95)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>decides a verdict</source>
            <translation>entscheidet ein Urteil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>hottest less coolest</source>
            <translation>heißester weniger kühlster</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>{name}, round {round}: what makes its uncertainty</source>
            <translation>{name}, Runde {round}: woraus ihre Unsicherheit besteht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>by hand</source>
            <translation>von Hand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>There is no reading to make a budget of.</source>
            <translation>Es gibt keine Ablesung für ein Budget.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>settled</source>
            <translation>eingeschwungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>heading for</source>
            <translation>strebt nach</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>no idle before the load</source>
            <translation>kein Leerlauf vor der Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/figurespage.py" />
            <source>no die, hot spot, memory or regulator</source>
            <translation>kein Chip, kein Hotspot, kein Speicher oder Regler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Wait for an answer</source>
            <translation>Warten auf eine Antwort</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>About the study</source>
            <translation>Zur Studie</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Accepted</source>
            <translation>Gelten gelassen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Mount left out</source>
            <translation>Montage nicht gezählt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Remarks</source>
            <translation>Bemerkungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Open it again</source>
            <translation>Wieder öffnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>Go on</source>
            <translation>Weiter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>drawing what was found</source>
            <translation>der Befund wird gezeichnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>set “{label}”</source>
            <translation>„{label}“ einstellen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Open the run</source>
            <translation>Den Lauf öffnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Likely, in this order</source>
            <translation>Wahrscheinlich, in dieser Reihenfolge</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>What to do</source>
            <translation>Was zu tun ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>the study</source>
            <translation>die Studie</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Nothing was noticed: no check has anything to say.</source>
            <translation>Nichts ist aufgefallen: keine Prüfung hat etwas zu sagen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Being worked out, {share:.0f} % of the runs done. What they show by themselves so far:</source>
            <translation>Wird noch ausgewertet, {share:.0f} % der Läufe fertig. Was sie bisher für sich zeigen:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Why it matters: {spoils}.</source>
            <translation>Warum es zählt: {spoils}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Taken together: {told}</source>
            <translation>Zusammengenommen: {told}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Accepted: {reason}</source>
            <translation>Gelten gelassen: {reason}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>What it goes by, in this study</source>
            <translation>Wonach es geht, in dieser Studie</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>usually {value:g} {unit}: {why}</source>
            <translation>üblich {value:g} {unit}: {why}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Nothing waits for an answer.</source>
            <translation>Nichts wartet auf eine Antwort.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>{n} finding to answer before those mounts should count.</source>
            <translation>{n} Befund ist zu beantworten, bevor diese Montage zählen sollte.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>{n} findings to answer before those mounts should count.</source>
            <translation>{n} Befunde sind zu beantworten, bevor diese Montagen zählen sollten.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Stopped after {share:.0f} % of the runs. What they show by themselves:</source>
            <translation>Angehalten nach {share:.0f} % der Läufe. Was sie für sich zeigen:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/findingspage.py" />
            <source>Left out: {left_out}</source>
            <translation>Nicht gezählt: {left_out}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/furtherpage.py" />
            <source>looking into the run</source>
            <translation>der Lauf wird angesehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/heatpage.py" />
            <source>Heights are {unit} over air. </source>
            <translation>Die Höhen sind {unit} über Luft. </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/heatpage.py" />
            <source>Each device has a flight of its own over the coolant that they share, by its own power. Intervals (95 %) are those of this window.</source>
            <translation>Jedes Gerät hat seine eigene Treppe über dem gemeinsamen Kühlmittel, nach seiner eigenen Leistung. Die Intervalle (95 %) sind die dieses Fensters.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/heatpage.py" />
            <source>Intervals (95 %) come from the scatter between mounts; for a verdict go to Compare.</source>
            <translation>Die Intervalle (95 %) kommen aus der Streuung zwischen Montagen; ein Urteil steht unter „Vergleichen“.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/heatpage.py" />
            <source>kelvins</source>
            <translation>Kelvin</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/heatpage.py" />
            <source>kelvins per watt</source>
            <translation>Kelvin je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/heatpage.py" />
            <location filename="../../../../src/kuffin/app/dialogs/channels.py" />
            <source>this run</source>
            <translation>dieser Lauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/heatpage.py" />
            <source>candidates side by side</source>
            <translation>Kandidaten nebeneinander</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/heatpage.py" />
            <source>The bottleneck is the step from {lower} to {name}. Intervals (95 %) are those of this window.</source>
            <translation>Der Engpass ist die Stufe von {lower} zu {name}. Die Intervalle (95 %) sind die dieses Fensters.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/joined.py" />
            <source>Lag of {source}</source>
            <translation>Verzug von {source}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/joined.py" />
            <source>take off</source>
            <translation>abnehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/joined.py" />
            <source>Take {source} off this run</source>
            <translation>{source} von diesem Lauf abnehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/joined.py" />
            <source>joined: {source}</source>
            <translation>verbunden: {source}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/layover.py" />
            <source>Another mount's run laid over</source>
            <translation>Der Lauf einer anderen Montage darübergelegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/layover.py" />
            <source>lay a run over …</source>
            <translation>einen Lauf darüberlegen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/layover.py" />
            <source>drawing the other run</source>
            <translation>der andere Lauf wird gezeichnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>Point at the traces to read every channel there; drag the band to set the window. </source>
            <translation>Auf die Kurven zeigen, um dort jeden Kanal abzulesen; das Band ziehen, um das Fenster zu setzen. </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>Trace that is judged</source>
            <translation>Beurteilte Kurve</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>Rows</source>
            <translation>Zeilen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>The reading: show its working</source>
            <translation>Die Ablesung: den Rechenweg zeigen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>How it was prepared</source>
            <translation>Wie vorbereitet wurde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>What was ticked, noted and measured before the run</source>
            <translation>Was vor dem Lauf abgehakt, notiert und gemessen wurde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>What happened in the run</source>
            <translation>Was im Lauf geschah</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>Its stages, marks, troubles, and what was asked for</source>
            <translation>Seine Abschnitte, Marken, Störungen, und was erfragt wurde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>Find the window</source>
            <translation>Das Fenster finden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>Channels …</source>
            <translation>Kanäle …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>What the run's channels are</source>
            <translation>Was die Kanäle des Laufs sind</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>Join a log …</source>
            <translation>Ein Log verbinden …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>Join a further log of this run: probes, flow meter, sound meter, frame times</source>
            <translation>Ein weiteres Log dieses Laufs verbinden: Fühler, Durchflussmesser, Schallmesser, Bildzeiten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>drawing the run</source>
            <translation>der Lauf wird gezeichnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>These figures were typed: there is no trace to draw, and no window to set.</source>
            <translation>Diese Werte wurden eingetippt: es gibt keine Kurve zu zeichnen und kein Fenster zu setzen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>what the fit leaves</source>
            <translation>was die Anpassung übrig lässt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>{at} min ({since} min of load): </source>
            <translation>{at} min ({since} min Last): </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runpage.py" />
            <source>a window needs at least 10 s; drag its edges further apart</source>
            <translation>ein Fenster braucht mindestens 10 s; die Ränder weiter auseinanderziehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>, {to_go} K still to go at the end</source>
            <translation>, am Ende noch {to_go} K zu gehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>{begin} to {end} min: plain mean {mean}, scatter {scatter}</source>
            <translation>{begin} bis {end} min: einfaches Mittel {mean}, Streuung {scatter}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>recheck, {started_at}</source>
            <translation>Nachprüfung, {started_at}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>a run</source>
            <translation>ein Lauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <location filename="../../../../src/kuffin/app/frame/loomside.py" />
            <source>left out: {left_out}</source>
            <translation>nicht gezählt: {left_out}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>being read …</source>
            <translation>wird gelesen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>; kept: {kept_because}</source>
            <translation>; gilt: {kept_because}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>{step}cannot be judged{kept}</source>
            <translation>{step}nicht zu beurteilen{kept}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>typed from a screen, </source>
            <translation>von einem Bildschirm abgetippt, </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>too few samples for a window</source>
            <translation>zu wenige Werte für ein Fenster</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>no reading: {problem}</source>
            <translation>keine Ablesung: {problem}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>  (heading for; not settled)</source>
            <translation>  (strebt danach; nicht eingeschwungen)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>
window {by}; found: {begin} to {end} min, {value} ± {u95} {unit}</source>
            <translation>
Fenster {by}; gefunden: {begin} bis {end} min, {value} ± {u95} {unit}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>{step}window set by the clock</source>
            <translation>{step}Fenster nach der Uhr gesetzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source> of it</source>
            <translation> davon</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>{step}settled after {since:.0f} min{of_it}{still_to_go}</source>
            <translation>{step}eingeschwungen nach {since:.0f} min{of_it}{still_to_go}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>when is not told</source>
            <translation>wann, ist nicht gesagt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>{when:g} min after the load began</source>
            <translation>{when:g} min nach Beginn der Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>, not settled</source>
            <translation>, nicht eingeschwungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>length</source>
            <translation>Länge</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>{duration_s:.0f} min, {rows} rows</source>
            <translation>{duration_s:.0f} min, {rows} Zeilen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>{step}window set by hand</source>
            <translation>{step}Fenster von Hand gesetzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>level known, drift not yet bounded</source>
            <translation>Höhe bekannt, Drift noch nicht eingegrenzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <source>not settled</source>
            <translation>nicht eingeschwungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <source>began</source>
            <translation>begonnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/runwords.py" />
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>log</source>
            <translation>Log</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>Recordings (WAV, FLAC) of this mount go here: drop them, add them, or record now. With a calibrator's recording on the Bench page they tell dBA; without one they tell which of two is louder.</source>
            <translation>Aufnahmen (WAV, FLAC) dieser Montage gehören hierher: ablegen, hinzufügen oder jetzt aufnehmen. Mit der Aufnahme eines Kalibrators auf der Seite „Prüfstand“ sagen sie dBA; ohne sagen sie, welche von zweien lauter ist.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>Microphone</source>
            <translation>Mikrofon</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>How long is recorded</source>
            <translation>Wie lange aufgenommen wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>Record</source>
            <translation>Aufnehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>What ran meanwhile</source>
            <translation>Was dabei lief</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>How recordings are made …</source>
            <translation>Wie aufgenommen wird …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>Recordings of this mount</source>
            <translation>Aufnahmen dieser Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>Tones of the recording</source>
            <translation>Töne der Aufnahme</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>No tone stands out of its surroundings.</source>
            <translation>Kein Ton hebt sich von seiner Umgebung ab.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>Tones: tone-to-noise ratio, ECMA-418-1; prominent from 8 dB at 1 kHz and above, more below. Whose a tone is is a guess by frequency alone. LA90 and the loudest moment have the background in them.</source>
            <translation>Töne: Ton-zu-Rausch-Verhältnis, ECMA-418-1; auffällig ab 8 dB bei 1 kHz und darüber, darunter mehr. Woher ein Ton kommt, ist allein nach der Frequenz vermutet. LA90 und der lauteste Augenblick enthalten den Hintergrund.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>drawing the recording</source>
            <translation>die Aufnahme wird gezeichnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>Stop recording</source>
            <translation>Aufnahme beenden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>Listen</source>
            <translation>Anhören</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>As loud as is comfortable: not at its true level</source>
            <translation>So laut, wie es angenehm ist: nicht in wahrer Lautstärke</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>Stop</source>
            <translation>Anhalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>what ran</source>
            <translation>was lief</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>Bin it</source>
            <translation>In den Papierkorb</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>The study has no bench: choose one on the Plan desk, and say there how recordings are made.</source>
            <translation>Die Studie hat keinen Prüfstand: am Pult „Planen“ einen wählen und dort sagen, wie aufgenommen wird.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>{figure} dBA</source>
            <translation>{figure} dBA</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>recording</source>
            <translation>Aufnahme</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>level</source>
            <translation>Pegel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>LA90</source>
            <translation>LA90</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>loudest</source>
            <translation>lautester</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>tones</source>
            <translation>Töne</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>what ran; background</source>
            <translation>was lief; Hintergrund</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>dB, relative</source>
            <translation>dB, relativ</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>over its surroundings</source>
            <translation>über seiner Umgebung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>choose a mount on the loom first: a recording belongs to one</source>
            <translation>erst eine Montage am Webstuhl wählen: eine Aufnahme gehört zu einer</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>only recordings (WAV, FLAC) are taken here; drop logs on the loom</source>
            <translation>hier gehören nur Aufnahmen (WAV, FLAC) hin; Logs auf dem Webstuhl ablegen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <source>Add recordings …</source>
            <translation>Aufnahmen hinzufügen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/inspect/soundpage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>not told</source>
            <translation>nicht gesagt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/photos.py" />
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>drop a photo here</source>
            <translation>hier ein Foto ablegen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/photos.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Put it into the bin</source>
            <translation>In den Papierkorb legen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/photos.py" />
            <source>Photo {name}</source>
            <translation>Foto {name}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>(its own value)</source>
            <translation>(der eigene Wert)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>claimed</source>
            <translation>angegeben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>in</source>
            <translation>in</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>better than</source>
            <translation>besser als</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>who says so</source>
            <translation>wer es sagt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>where, at what</source>
            <translation>wo, bei was</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>so far</source>
            <translation>bisher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>{judged} ({low} measured)</source>
            <translation>{judged} ({low} gemessen)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>not measured yet</source>
            <translation>noch nicht gemessen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>a claim compares two candidates; add another one first</source>
            <translation>eine Angabe vergleicht zwei Kandidaten; erst einen weiteren hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>a claim</source>
            <translation>eine Angabe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/claimstable.py" />
            <source>choose a claim in the table first</source>
            <translation>erst eine Angabe in der Tabelle wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/clearancepage.py" />
            <source>Does it fit? sets sizes, currents and threads of parts against each other: radiator and fans against the case, memory under the block, fans on a header, fittings into ports, fan screws into the radiator. Write sizes down on the Shelf (a case, a board and memory are parts, too), and choose those parts for the bench under Fair?.</source>
            <translation>„Passt es?“ hält Größen, Ströme und Gewinde von Teilen gegeneinander: Radiator und Lüfter gegen das Gehäuse, Speicher unter dem Block, Lüfter an einem Anschluss, Verschraubungen in die Öffnungen, Lüfterschrauben in den Radiator. Die Größen im Regal eintragen (Gehäuse, Board und Speicher sind auch Teile) und diese Teile unter „Fair?“ für den Prüfstand wählen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/clearancepage.py" />
            <source>Sizes are as told on the Shelf; what is not known is said, and nothing simply fits without it. A sum that looks right is no safeguard: try it with the parts' own drawings and by hand, never by force, and mind sharp fins. Header currents: the board's manual comes first.</source>
            <translation>Größen wie im Regal angegeben; was nicht bekannt ist, wird gesagt, und ohne das passt nichts einfach so. Eine Rechnung, die stimmt, ist keine Sicherheit: mit den Zeichnungen der Teile und von Hand probieren, nie mit Gewalt, und auf scharfe Lamellen achten. Ströme der Anschlüsse: das Handbuch des Boards geht vor.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/clearancepage.py" />
            <source>How each candidate fits</source>
            <translation>Wie jeder Kandidat passt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/clearancepage.py" />
            <source>Alike for all: {alike}.</source>
            <translation>Bei allen gleich: {alike}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/clearancepage.py" />
            <source>{bad} does not fit.</source>
            <translation>{bad} passt nicht.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/clearancepage.py" />
            <source>{bad} do not fit.</source>
            <translation>{bad} passen nicht.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/clearancepage.py" />
            <source>{open} fits as far as is known; some sizes are not told.</source>
            <translation>{open} passt, soweit bekannt; manche Größen sind nicht angegeben.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/clearancepage.py" />
            <source>{open} fit as far as is known; some sizes are not told.</source>
            <translation>{open} passen, soweit bekannt; manche Größen sind nicht angegeben.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/clearancepage.py" />
            <source>{rest} fits by what was written down.</source>
            <translation>{rest} passt nach dem, was eingetragen ist.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/clearancepage.py" />
            <source>{rest} fit by what was written down.</source>
            <translation>{rest} passen nach dem, was eingetragen ist.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/desk.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>The question</source>
            <translation>Die Frage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/desk.py" />
            <source>Fair?</source>
            <translation>Fair?</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/desk.py" />
            <source>Does it fit?</source>
            <translation>Passt es?</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/desk.py" />
            <source>How many</source>
            <translation>Wie viele</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/desk.py" />
            <source>In which order</source>
            <translation>In welcher Reihenfolge</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/desk.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Protocol</source>
            <translation>Ablauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/desk.py" />
            <source>When</source>
            <translation>Wann</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>as the bench</source>
            <translation>wie der Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>can decide the comparison alone</source>
            <translation>kann den Vergleich allein entscheiden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>can shift the comparison</source>
            <translation>kann den Vergleich verschieben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>small</source>
            <translation>klein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>taken out</source>
            <translation>herausgenommen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>Configurations</source>
            <translation>Aufbauten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>it stays because …</source>
            <translation>es bleibt, weil …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>Why the {label} {verb}</source>
            <translation>Warum {label} {verb}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>Each candidate is as the bench, except where a cell says otherwise. Double-click or type to change one.</source>
            <translation>Jeder Kandidat ist wie der Prüfstand, wo ein Feld nichts anderes sagt. Doppelklick oder Tippen ändert eines.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>bench</source>
            <translation>Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>Nothing is said yet of how the candidates are built in: set up a bench, or fill in what matters below.</source>
            <translation>Noch ist nicht gesagt, wie die Kandidaten eingebaut sind: einen Prüfstand einrichten, oder unten ausfüllen, worauf es ankommt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>Fair, as far as is known: nothing differs besides what is under test.</source>
            <translation>Fair, soweit bekannt: außer dem Geprüften ist nichts verschieden.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>Make it {most} for all</source>
            <translation>Für alle {most} nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>there is no bench yet; set one up on the Bench page</source>
            <translation>es gibt noch keinen Prüfstand; auf der Seite „Prüfstand“ einen einrichten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>set the bench's {label}</source>
            <translation>am Prüfstand einstellen: {label}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>Fair, as far as is known: what differs is taken out of the numbers.</source>
            <translation>Fair, soweit bekannt: was verschieden ist, wird aus den Zahlen genommen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>All that differs stays for a reason; the reasons come out with the result.</source>
            <translation>Alles Verschiedene bleibt aus einem Grund; die Gründe erscheinen mit dem Ergebnis.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>One thing differs besides what is under test. Mend it, or write down why it stays.</source>
            <translation>Eines ist außer dem Geprüften verschieden. Beheben, oder aufschreiben, warum es bleibt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/fair.py" />
            <source>{n} things differ besides what is under test. Mend it, or write down why it stays.</source>
            <translation>{n} Dinge sind außer dem Geprüften verschieden. Beheben, oder aufschreiben, warum sie bleiben.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>Goal</source>
            <translation>Ziel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>Difference or margin</source>
            <translation>Unterschied oder Grenze</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>Wanted chance</source>
            <translation>Gewünschte Wahrscheinlichkeit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>Scatter between mounts</source>
            <translation>Streuung zwischen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>Scatter between samples</source>
            <translation>Streuung zwischen Exemplaren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>Chance over the number of mounts</source>
            <translation>Wahrscheinlichkeit über der Zahl der Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>Plan so many mounts</source>
            <translation>So viele Montagen planen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>One more mount, or one more sample?</source>
            <translation>Eine weitere Montage oder ein weiteres Exemplar?</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>show two candidates to be the same within {size:g} K</source>
            <translation>zeigen, dass zwei Kandidaten innerhalb von {size:g} K gleich sind</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>find a difference of {size:g} K</source>
            <translation>einen Unterschied von {size:g} K finden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>between one pair among {k}</source>
            <translation>zwischen einem von {k} Paaren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>, with rounds taken out</source>
            <translation>, mit herausgenommenen Runden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>mounts of each candidate</source>
            <translation>Montagen je Kandidat</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>chance, %</source>
            <translation>Wahrscheinlichkeit, %</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>: a chance of {power:.0f} %, ±{figure} K</source>
            <translation>: Wahrscheinlichkeit {power:.0f} %, ±{figure} K</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>Planned: {planned} of each{tail}.</source>
            <translation>Geplant: je {planned}{tail}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>your own figure; else {known}</source>
            <translation>eigene Zahl; sonst {known}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>your own figure</source>
            <translation>eigene Zahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>a guess: half of that between mounts</source>
            <translation>Vermutung: die Hälfte der Streuung zwischen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>, against the reference</source>
            <translation>, gegen die Referenz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>{capitalize} mounts of each {what} {among} with a chance of {power:.0f} %; a pair's interval is then about ±{figure} K.</source>
            <translation>{capitalize} Montagen je Kandidat: {what} {among}, mit einer Wahrscheinlichkeit von {power:.0f} %; das Intervall eines Paars ist dann etwa ±{figure} K.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>Even {MOST} mounts of each {what} with a chance of {power:.0f} % only: take a larger difference, or reduce the scatter between mounts.</source>
            <translation>Selbst {MOST} Montagen je Kandidat: {what}, nur mit einer Wahrscheinlichkeit von {power:.0f} %. Einen größeren Unterschied suchen, oder die Streuung zwischen Montagen verringern.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>Plan {mounts} mounts of each</source>
            <translation>Je {mounts} Montagen planen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>±{figure} K for the products</source>
            <translation>±{figure} K für die Produkte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>nothing beyond the very samples tested: one sample says nothing of the next</source>
            <translation>nichts über die geprüften Exemplare hinaus: ein Exemplar sagt nichts über das nächste</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>plan the number of mounts</source>
            <translation>die Zahl der Montagen planen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>find a difference of</source>
            <translation>einen Unterschied finden von</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>show sameness within</source>
            <translation>Gleichheit zeigen innerhalb von</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>change the goal</source>
            <translation>das Ziel ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>change the difference to be found</source>
            <translation>den zu findenden Unterschied ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>change the wanted chance</source>
            <translation>die gewünschte Wahrscheinlichkeit ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>change the scatter assumed</source>
            <translation>die angenommene Streuung ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>change the scatter between samples</source>
            <translation>die Streuung zwischen Exemplaren ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>I want to</source>
            <translation>Ich will</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>As planned</source>
            <translation>Wie geplant</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>One more mount of each sample</source>
            <translation>Eine weitere Montage jedes Exemplars</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>One more sample</source>
            <translation>Ein weiteres Exemplar</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>{layout} ({samples}, one mount on each): {half}.</source>
            <translation>{layout} ({samples}, je eine Montage): {half}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>{layout} ({samples}, {mounts} mounts on each): {half}.</source>
            <translation>{layout} ({samples}, je {mounts} Montagen): {half}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/mounts.py" />
            <source>K with a chance of</source>
            <translation>K, mit einer Wahrscheinlichkeit von</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>Each round holds every candidate once, so what a round has in common (an afternoon, a fill) can be taken out.</source>
            <translation>Jede Runde enthält jeden Kandidaten einmal; was eine Runde gemeinsam hat (ein Nachmittag, eine Füllung), lässt sich so herausnehmen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>Mounts in bench order</source>
            <translation>Montagen in der Reihenfolge am Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>Baseline again after so many rounds</source>
            <translation>Den Bezug wieder nach so vielen Runden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>Keep together</source>
            <translation>Zusammenhalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>rounds the baseline comes again</source>
            <translation>Runden kommt der Bezug wieder</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>Draw the order</source>
            <translation>Reihenfolge ziehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>At random within each round, then the evenest of sixty draws</source>
            <translation>Zufällig in jeder Runde, dann die gleichmäßigste von sechzig Ziehungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>{place:&gt;2}   {candidate}{sample}   ·   round {round}</source>
            <translation>{place:&gt;2}   {candidate}{sample}   ·   Runde {round}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>The plan was changed since the order was drawn: {lacks}. Draw it again; what is done or begun stays.</source>
            <translation>Der Plan wurde geändert, seit die Reihenfolge gezogen wurde: {lacks}. Neu ziehen; was fertig oder begonnen ist, bleibt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>Change-overs take about {total:.1f} h in all. {gain}</source>
            <translation>Die Umbauten dauern zusammen etwa {total:.1f} h. {gain}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>rounds the baseline comes again; {name} stands outside the rounds: first, between and last</source>
            <translation>Runden kommt der Bezug wieder; {name} steht außerhalb der Runden: am Anfang, dazwischen und am Ende</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>rounds the baseline comes again (none is chosen)</source>
            <translation>Runden kommt der Bezug wieder (keiner ist gewählt)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>Draw the order again</source>
            <translation>Reihenfolge neu ziehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>, sample {label}</source>
            <translation>, Exemplar {label}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>done</source>
            <translation>fertig</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>   ·   baseline</source>
            <translation>   ·   Bezug</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>No mount is planned yet. Draw an order; it can be dragged afterwards.</source>
            <translation>Noch ist keine Montage geplant. Eine Reihenfolge ziehen; danach lässt sie sich verschieben.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>That change costs fairness: the share of a drift that lands in a difference goes from {was:.2f} to {now:.2f}. Ctrl+Z takes it back.</source>
            <translation>Diese Änderung kostet Fairness: der Anteil einer Drift, der in einem Unterschied landet, steigt von {was:.2f} auf {now:.2f}. Strg+Z nimmt sie zurück.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>what is done or begun stays where it is; move one that is still to do</source>
            <translation>was fertig oder begonnen ist, bleibt, wo es ist; eine verschieben, die noch aussteht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>change how often the baseline comes</source>
            <translation>ändern, wie oft der Bezug kommt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>nothing</source>
            <translation>nichts</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>change what stays together</source>
            <translation>ändern, was zusammenbleibt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>· after every</source>
            <translation>· nach jeweils</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>Keep together within a round, because it is costly to change:</source>
            <translation>Innerhalb einer Runde zusammenhalten, weil der Wechsel teuer ist:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>ready to run</source>
            <translation>bereit zum Lauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>begun</source>
            <translation>begonnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/order.py" />
            <source>the {spoken}</source>
            <translation>{spoken}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>the usual three steps</source>
            <translation>die üblichen drei Schritte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>as is</source>
            <translation>wie es ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>step</source>
            <translation>Schritt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/loads.py" />
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>load</source>
            <translation>Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>power</source>
            <translation>Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>pump</source>
            <translation>Pumpe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>also set</source>
            <translation>auch gestellt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>settles</source>
            <translation>endet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>at most</source>
            <translation>höchstens</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>measure</source>
            <translation>messen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>ask for</source>
            <translation>fragen nach</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>expected</source>
            <translation>erwartet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Steps</source>
            <translation>Schritte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Compare at idle too, where idle steps measure</source>
            <translation>Auch im Leerlauf vergleichen, wo Leerlaufschritte messen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>When to stop a run</source>
            <translation>Wann ein Lauf anzuhalten ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Die limit</source>
            <translation>Grenze des Chips</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Coolant limit</source>
            <translation>Grenze des Kühlmittels</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Least flow</source>
            <translation>Kleinster Durchfluss</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Least pump speed</source>
            <translation>Kleinste Pumpendrehzahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Fastest rise of the coolant</source>
            <translation>Schnellster Anstieg des Kühlmittels</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>a leak sensor answers</source>
            <translation>ein Lecksensor anspricht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>A run takes about {total:.0f} min; {run_from}. {limits}.</source>
            <translation>Ein Lauf dauert etwa {total:.0f} min; {run_from}. {limits}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>{NAME}, changed</source>
            <translation>{NAME}, geändert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Make a sweep</source>
            <translation>Durchfahren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>What is varied:</source>
            <translation>Was sich ändert:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>take another protocol</source>
            <translation>einen anderen Ablauf nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Keep the protocol as</source>
            <translation>Den Ablauf behalten als</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Its name:</source>
            <translation>Sein Name:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>take the usual protocol</source>
            <translation>den üblichen Ablauf nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>the protocol {name}</source>
            <translation>der Ablauf {name}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>{NO_SAFETY_DEVICE} Coolant hotter than tubes and pump allow can burst a loop: their manuals have the limit. Blank: not watched. “Window”: found (where it has settled), or by the clock, such as: 27 to 30 min, last 3 min; what would have been found is shown beside it. “Also set”: what a person sets when the step begins, such as: power limit 240 W; driver 12.4. “Ask for”: numbers that are asked for when the step ends, such as: score, frame rate [1/s].</source>
            <translation>{NO_SAFETY_DEVICE} Kühlmittel, das heißer ist, als Schläuche und Pumpe erlauben, kann einen Kreislauf platzen lassen: die Grenze steht in ihren Anleitungen. Leer: nicht überwacht. „Fenster“: gefunden (wo es eingeschwungen ist) oder nach der Uhr, etwa: 27 to 30 min, last 3 min; was gefunden worden wäre, steht daneben. „Auch gestellt“: was jemand zu Beginn des Schritts einstellt, etwa: power limit 240 W; driver 12.4. „Fragen nach“: Zahlen, nach denen am Ende des Schritts gefragt wird, etwa: score, frame rate [1/s].</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>{NAME} (built in)</source>
            <translation>{NAME} (eingebaut)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <location filename="../../../../src/kuffin/app/desks/run/practice.py" />
            <source>idle</source>
            <translation>Leerlauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>take a protocol</source>
            <translation>einen Ablauf nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>choose a step in the table first</source>
            <translation>erst einen Schritt in der Tabelle wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>{what}, one value for each step:</source>
            <translation>{what}, ein Wert für jeden Schritt:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>the same tests as last spring</source>
            <translation>dieselben Prüfungen wie im letzten Frühjahr</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>the built-in protocol stays; keep it under another name to change it</source>
            <translation>der eingebaute Ablauf bleibt; zum Ändern unter anderem Namen behalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Keep it as …</source>
            <translation>Behalten als …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Under another name, to be used again in other studies</source>
            <translation>Unter anderem Namen, um ihn in anderen Studien wieder zu nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Add a step</source>
            <translation>Schritt hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Check the mount first</source>
            <translation>Erst die Montage prüfen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>A light load before the first one: where the mount looks bad, the run holds before the full load</source>
            <translation>Eine leichte Last vor der ersten: wo die Montage schlecht aussieht, wartet der Lauf vor der vollen Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Up</source>
            <translation>Nach oben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Down</source>
            <translation>Nach unten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Make a sweep of it …</source>
            <translation>Daraus durchfahren …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>Many steps from one, with power, pump, fans or another setting varied</source>
            <translation>Aus einem Schritt viele, mit veränderter Leistung, Pumpe, Lüftern oder anderer Einstellung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>compare at idle too</source>
            <translation>auch im Leerlauf vergleichen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>die at</source>
            <translation>Chip bei</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>°C   coolant at</source>
            <translation>°C   Kühlmittel bei</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>°C   flow under</source>
            <translation>°C   Durchfluss unter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>pump under</source>
            <translation>Pumpe unter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>rpm   coolant rising faster than</source>
            <translation>U/min   Kühlmittel steigt schneller als</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>K/min   or where</source>
            <translation>K/min   oder wenn</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>the full load has no power of its own; give the mount check a lighter one</source>
            <translation>die volle Last hat keine eigene Leistung; der Prüfung der Montage eine leichtere geben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>“{values}” are no numbers; write them with commas between</source>
            <translation>„{values}“ sind keine Zahlen; mit Kommas dazwischen schreiben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/protocol.py" />
            <source>as it stands</source>
            <translation>wie es steht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>{live_mounts}, {done} done</source>
            <translation>{live_mounts}, {done} fertig</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>Reference power</source>
            <translation>Bezugsleistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/coolantchoice.py" />
            <source>as measured</source>
            <translation>wie gemessen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>Compare with</source>
            <translation>Verglichen mit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>Under test</source>
            <translation>Geprüft wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>What is read</source>
            <translation>Was abgelesen wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <location filename="../../../../src/kuffin/app/dialogs/cooledrow.py" />
            <source>Whose die is asked about</source>
            <translation>Nach wessen Chip gefragt ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>The die of</source>
            <translation>Der Chip von</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>They take the place of</source>
            <translation>Sie nehmen den Platz ein von</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>A difference matters from</source>
            <translation>Ein Unterschied zählt ab</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>Compared with</source>
            <translation>Verglichen mit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <source>Candidates</source>
            <translation>Kandidaten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>Claims to test</source>
            <translation>Zu prüfende Angaben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>Nobody's claim is tested yet: “8 K cooler than …”, say, from a box or a review.</source>
            <translation>Noch wird keine Angabe geprüft: etwa „8 K kühler als …“, von einer Schachtel oder aus einem Test.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>What must stay the same</source>
            <translation>Was gleich bleiben muss</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>say which places the candidates take</source>
            <translation>sagen, welche Plätze die Kandidaten einnehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>{label}; each is {made}, and judged by {school} unless Compare says otherwise</source>
            <translation>{label}; Kandidaten werden {made}, und beurteilt wird nach {school}, wenn „Vergleichen“ nichts anderes sagt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>none on the shelf</source>
            <translation>keines im Regal</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>(taken out)</source>
            <translation>(herausgenommen)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <source>Add a candidate</source>
            <translation>Kandidat hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>From the shelf, or a new name:</source>
            <translation>Aus dem Regal, oder ein neuer Name:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>Add a sample</source>
            <translation>Exemplar hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>The same, another way</source>
            <translation>Dasselbe, anders verwendet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>name</source>
            <translation>Name</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>part on the shelf</source>
            <translation>Teil im Regal</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>samples</source>
            <translation>Exemplare</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>mounts planned and done</source>
            <translation>Montagen geplant und fertig</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>the loop cools {loop}</source>
            <translation>der Kreislauf kühlt {loop}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>what the loop cools is said on the Bench</source>
            <translation>was der Kreislauf kühlt, wird auf der Seite „Prüfstand“ gesagt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>a candidate takes at least one place of the loop</source>
            <translation>ein Kandidat nimmt mindestens einen Platz im Kreislauf ein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>change the question</source>
            <translation>die Frage ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>choose a candidate in the table first</source>
            <translation>erst einen Kandidaten in der Tabelle wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>A label for another {name}, to write on it:</source>
            <translation>Eine Bezeichnung für ein weiteres {name}, zum Daraufschreiben:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>How it came:</source>
            <translation>Wie es kam:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>What {name} is called when it is used the other way:</source>
            <translation>Wie {name} heißt, wenn es anders verwendet wird:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>{name} (turned)</source>
            <translation>{name} (gedreht)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>change the reference power</source>
            <translation>die Bezugsleistung ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>compare with one reference</source>
            <translation>mit einer Referenz vergleichen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>choose the baseline</source>
            <translation>den Bezug wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>ask about another temperature</source>
            <translation>nach einer anderen Temperatur fragen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>read at</source>
            <translation>abgelesen bei</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>baseline, mounted again and again</source>
            <translation>Bezug, immer wieder montiert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>The same, another way …</source>
            <translation>Dasselbe, anders verwendet …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>The chosen candidate once more: other ports, turned, after a repair …</source>
            <translation>Den gewählten Kandidaten noch einmal: andere Anschlüsse, gedreht, nach einer Reparatur …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>Add a sample of it</source>
            <translation>Ein Exemplar davon hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>Another specimen of the chosen candidate</source>
            <translation>Ein weiteres Stück des gewählten Kandidaten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Take it out</source>
            <translation>Herausnehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>Into the bin, with its mounts</source>
            <translation>In den Papierkorb, mit seinen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>Add a claim</source>
            <translation>Angabe hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>every other one</source>
            <translation>jedem anderen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>the {guess}, as it seems</source>
            <translation>{guess}, wie es scheint</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>{name}, at the {device}</source>
            <translation>{name}, am {device}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>{name}, place {position}</source>
            <translation>{name}, Platz {position}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>the {d}</source>
            <translation>{d}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/question.py" />
            <source>, then </source>
            <translation>, dann </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>{capitalize} to do; the last one ends on {end}.</source>
            <translation>{capitalize} stehen aus; die letzte endet am {end}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>{days} and {seconds}</source>
            <translation>{days} und {seconds}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>{plan} All fit before the deadline, with {left} to spare.</source>
            <translation>{plan} Alle passen vor den Termin, mit {left} Luft.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <location filename="../../../../src/kuffin/app/widgets/daysheet.py" />
            <source>deadline</source>
            <translation>Termin</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>Pause between mounts</source>
            <translation>Pause zwischen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>such as 2026-12-08, 2026-12-24</source>
            <translation>etwa 2026-12-08, 2026-12-24</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>Days off</source>
            <translation>Freie Tage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>Rechecks of what stays in place: {words}. They go into the calendar file, too.</source>
            <translation>Nachprüfungen dessen, was am Platz bleibt: {words}. Auch sie kommen in die Kalenderdatei.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>A run: {run_min:.0f} min, {run_from}. Change-overs: {change_from}. The plan is laid anew whenever something is done, later or earlier.</source>
            <translation>Ein Lauf: {run_min:.0f} min, {run_from}. Umbauten: {change_from}. Der Plan wird neu gelegt, sooft etwas früher oder später fertig wird.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>change the deadline</source>
            <translation>den Termin ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>change the hours at the bench</source>
            <translation>die Stunden am Prüfstand ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>Write iCalendar</source>
            <translation>iCalendar schreiben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>plan of {name}</source>
            <translation>Plan von {name}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>First mount not before</source>
            <translation>Erste Montage nicht vor</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>Deadline</source>
            <translation>Termin</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>At the bench on {name}s</source>
            <translation>Am Prüfstand: {name}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>{day} from, hours</source>
            <translation>{day} von, Uhr</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>{day} to, hours</source>
            <translation>{day} bis, Uhr</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>at the bench</source>
            <translation>am Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>from, h</source>
            <translation>von, Uhr</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>to, h</source>
            <translation>bis, Uhr</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>Write iCalendar …</source>
            <translation>iCalendar schreiben …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>All mounts are made; what stays in place is tested again, below.</source>
            <translation>Alle Montagen sind gemacht; was am Platz bleibt, wird wieder geprüft, siehe unten.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>Everything planned is done.</source>
            <translation>Alles Geplante ist fertig.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>No mount is planned yet: draw an order first.</source>
            <translation>Noch ist keine Montage geplant: erst eine Reihenfolge ziehen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>{plan} Only one of them fits before the deadline: add hours, shorten the protocol, or plan fewer rounds.</source>
            <translation>{plan} Nur eine davon passt vor den Termin: mehr Stunden, ein kürzerer Ablauf, oder weniger Runden.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>{plan} Only {fit} of them fit before the deadline: add hours, shorten the protocol, or plan fewer rounds.</source>
            <translation>{plan} Nur {fit} davon passen vor den Termin: mehr Stunden, ein kürzerer Ablauf, oder weniger Runden.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>change the days off</source>
            <translation>die freien Tage ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>nothing is laid yet, so there is nothing to write; draw an order first</source>
            <translation>noch ist nichts gelegt, es gibt also nichts zu schreiben; erst eine Reihenfolge ziehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>nothing is laid yet, so there is nothing to print; draw an order first</source>
            <translation>noch ist nichts gelegt, es gibt also nichts zu drucken; erst eine Reihenfolge ziehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>change when it begins</source>
            <translation>ändern, wann es beginnt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>change the pause</source>
            <translation>die Pause ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>Not before</source>
            <translation>Nicht vor</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>pause between mounts</source>
            <translation>Pause zwischen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>write days off as year-month-day, such as 2026-12-24, with commas between</source>
            <translation>freie Tage als Jahr-Monat-Tag schreiben, etwa 2026-12-24, mit Kommas dazwischen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/plan/when.py" />
            <source>recheck {label} (day {days:g})</source>
            <translation>Nachprüfung {label} (Tag {days:g})</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/bleed.py" />
            <source>The flow sensor's own scatter</source>
            <translation>Die eigene Streuung des Durchflussmessers</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/bleed.py" />
            <source>Flow</source>
            <translation>Durchfluss</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/bleed.py" />
            <source>Let the pump run, tilt and tap, and read the flow every quarter of a minute; or take a log of it.</source>
            <translation>Die Pumpe laufen lassen, kippen und klopfen, und den Durchfluss jede Viertelminute ablesen; oder ein Log davon nehmen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/bleed.py" />
            <source>the flow sensor's own scatter, of its reading</source>
            <translation>die eigene Streuung des Durchflussmessers, vom Messwert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>note on this step</source>
            <translation>Notiz zu diesem Schritt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Note on step {number}</source>
            <translation>Notiz zu Schritt {number}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>note</source>
            <translation>Notiz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Write a note on step {number}</source>
            <translation>Eine Notiz zu Schritt {number} schreiben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Sample</source>
            <translation>Exemplar</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Ready to run</source>
            <translation>Bereit zum Lauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Start again</source>
            <translation>Neu beginnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Takes all ticks back; notes stay</source>
            <translation>Nimmt alle Haken zurück; Notizen bleiben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>note on this mount</source>
            <translation>Notiz zu dieser Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Note on this mount</source>
            <translation>Notiz zu dieser Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Sample {label}. </source>
            <translation>Exemplar {label}. </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>change-over of {coming}</source>
            <translation>Umbau für {coming}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>Add photos</source>
            <translation>Fotos hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>Photos (*.jpg *.jpeg *.png)</source>
            <translation>Fotos (*.jpg *.jpeg *.png)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>leak test</source>
            <translation>Dichtprobe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>bleeding</source>
            <translation>Entlüften</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>contact print</source>
            <translation>Pastenabdruck</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>caution: {live}</source>
            <translation>Vorsicht: {live}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>seen</source>
            <translation>gesehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Do not show this caution again for this mount: {key}</source>
            <translation>Diesen Hinweis für diese Montage nicht mehr zeigen: {key}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Photos: drop them on a step, or here for the whole mount</source>
            <translation>Fotos: auf einem Schritt ablegen, oder hier für die ganze Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>An empty bench is made ready for {coming}: about {minutes:.0f} min.</source>
            <translation>Ein leerer Prüfstand wird für {coming} bereitgemacht: etwa {minutes:.0f} min.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>From {name}, round {round}, to {coming}: about {minutes:.0f} min.</source>
            <translation>Von {name}, Runde {round}, zu {coming}: etwa {minutes:.0f} min.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Not ready after all</source>
            <translation>Doch nicht bereit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Ready since {ready_at}. Run it on the Run desk (Ctrl+3), or drop your own log of it on the loom afterwards.</source>
            <translation>Bereit seit {ready_at}. Am Pult „Lauf“ (Strg+3) fahren, oder danach das eigene Log am Webstuhl ablegen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>not ticked yet: {left} Tick it, or write a note on it why it is left out</source>
            <translation>noch nicht abgehakt: {left} Abhaken, oder eine Notiz schreiben, warum es wegbleibt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>about {minutes:.0f} min</source>
            <translation>etwa {minutes:.0f} min</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>Add photos …</source>
            <translation>Fotos hinzufügen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Still to do: {left} of {rows}; next: {text}</source>
            <translation>Noch zu tun: {left} von {rows}; als Nächstes: {text}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>Everything is ticked.</source>
            <translation>Alles ist abgehakt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/changeover.py" />
            <source>step {key}</source>
            <translation>Schritt {key}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>{share:.0f} % of the die was covered ({low:.0f} to {high:.0f} %).</source>
            <translation>{share:.0f} % des Chips waren bedeckt ({low:.0f} bis {high:.0f} %).</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>Photo of the print {title}</source>
            <translation>Foto des Abdrucks {title}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>covered and bare are the other way round</source>
            <translation>bedeckt und frei sind vertauscht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>Map of the print {title}</source>
            <translation>Plan des Abdrucks {title}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>Photo of a print</source>
            <translation>Foto eines Abdrucks</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>The mount whose print it is</source>
            <translation>Die Montage, deren Abdruck es ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>Width of the die</source>
            <translation>Breite des Chips</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>Height of the die</source>
            <translation>Höhe des Chips</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>All mounts</source>
            <translation>Alle Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>{print} (light on the map)</source>
            <translation>{print} (hell im Plan)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>After taking the block off, photograph the print on it and on the die, straight from above and without flash.</source>
            <translation>Nach dem Abnehmen des Blocks den Abdruck auf ihm und auf dem Chip fotografieren, senkrecht von oben und ohne Blitz.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>{both:.0f} % of the die had paste on one side or the other; on the better print {low:.0f} to {high:.0f} %.</source>
            <translation>{both:.0f} % des Chips hatten Paste auf der einen oder anderen Seite; auf dem besseren Abdruck {low:.0f} bis {high:.0f} %.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>reading the print</source>
            <translation>der Abdruck wird gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>Click the die's four corners in each photo, one after the other around it (Space and the arrow keys do it too).</source>
            <translation>In jedem Foto die vier Ecken des Chips anklicken, der Reihe nach (Leertaste und Pfeiltasten gehen auch).</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>opening the photo …</source>
            <translation>das Foto wird geöffnet …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>mark the four corners of the die</source>
            <translation>die vier Ecken des Chips markieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>. Glare hides {glare:.0f} %: photograph it again in soft light</source>
            <translation>. Spiegelung verdeckt {glare:.0f} %: noch einmal in weichem Licht fotografieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>Print of {label}</source>
            <translation>Abdruck von {label}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>The print {title}</source>
            <translation>Der Abdruck {title}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>Photo …</source>
            <translation>Foto …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>The print of</source>
            <translation>Der Abdruck von</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>the die is</source>
            <translation>der Chip ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>mm wide and</source>
            <translation>mm breit und</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>mm high</source>
            <translation>mm hoch</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>no reading yet</source>
            <translation>noch keine Ablesung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>The prints of all mounts come here, beside their readings.</source>
            <translation>Hierher kommen die Abdrücke aller Montagen, neben ihre Ablesungen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>the print</source>
            <translation>der Abdruck</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>the print {PRINT_SIDES}</source>
            <translation>der Abdruck {PRINT_SIDES}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/contact.py" />
            <source>{share} covered</source>
            <translation>{share} bedeckt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <source>The mount that is prepared</source>
            <translation>Die Montage, die vorbereitet wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <source>Plan the mounts</source>
            <translation>Die Montagen planen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <source>Change-over</source>
            <translation>Umbau</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <source>Fill</source>
            <translation>Füllen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <source>Leak test</source>
            <translation>Dichtprobe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <source>Bleeding</source>
            <translation>Entlüften</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <source>Fit</source>
            <translation>Passen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <source>Contact print</source>
            <translation>Pastenabdruck</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <source>Prepare walks you through each mount, from the change-over to “ready to run”. No mount is planned yet.</source>
            <translation>„Vorbereiten“ führt durch jede Montage, vom Umbau bis „bereit zum Lauf“. Noch ist keine Montage geplant.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <source>{name}, round {round}  ·  {state}</source>
            <translation>{name}, Runde {round}  ·  {state}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>next</source>
            <translation>als Nächstes</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/desk.py" />
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>to do</source>
            <translation>zu tun</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>What the loop holds</source>
            <translation>Was der Kreislauf fasst</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>What to mix</source>
            <translation>Was zu mischen ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>For topping up</source>
            <translation>Zum Nachfüllen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>Concentrate in the mix</source>
            <translation>Konzentrat in der Mischung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>Additive</source>
            <translation>Zusatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>for topping up</source>
            <translation>zum Nachfüllen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>concentrate, additive</source>
            <translation>Konzentrat, Zusatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>What the old coolant leaves</source>
            <translation>Was vom alten Kühlmittel bleibt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>Left after draining</source>
            <translation>Rest nach dem Ablassen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>Rinses</source>
            <translation>Spülungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>Together about {total:.0f} ± {spread:.0f} mL.</source>
            <translation>Zusammen etwa {total:.0f} ± {spread:.0f} mL.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>part</source>
            <translation>Teil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>holds</source>
            <translation>fasst</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>No loop is set up yet: build it on the Bench page, and its volume is known here.</source>
            <translation>Noch ist kein Kreislauf eingerichtet: auf der Seite „Prüfstand“ aufbauen, dann ist sein Volumen hier bekannt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>{water_ml:.0f} mL distilled water</source>
            <translation>{water_ml:.0f} mL destilliertes Wasser</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>Mix {total_ml:.0f} mL of {name}: {parts}. That is enough even where the loop holds {spread:.0f} mL more.</source>
            <translation>{total_ml:.0f} mL {name} mischen: {parts}. Das reicht auch, wenn der Kreislauf {spread:.0f} mL mehr fasst.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>none is needed</source>
            <translation>keine nötig</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>After {rinses} the new filling still holds {stays:.2g} % of the old one; to stay under 1 %, {need}.</source>
            <translation>Nach {rinses} hält die neue Füllung noch {stays:.2g} % der alten; um unter 1 % zu bleiben: {need}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>left after draining</source>
            <translation>Rest nach dem Ablassen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>rinses</source>
            <translation>Spülungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>{volume_ml:.0f} mL</source>
            <translation>{volume_ml:.0f} mL</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>{concentrate_ml:.0f} mL concentrate</source>
            <translation>{concentrate_ml:.0f} mL Konzentrat</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>{additive_ml:.0f} mL additive</source>
            <translation>{additive_ml:.0f} mL Zusatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>one is enough</source>
            <translation>eine reicht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>{n} are enough</source>
            <translation>{n} reichen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fill.py" />
            <source>estimate: its maker's figure is not on the shelf</source>
            <translation>Schätzung: die Angabe des Herstellers steht nicht im Regal</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>not looked</source>
            <translation>nicht angesehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>Dew point {figure} °C.</source>
            <translation>Taupunkt {figure} °C.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>Screws into the radiator</source>
            <translation>Schrauben in den Radiator</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>Pads</source>
            <translation>Pads</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>From above, the die in the middle: drag each pad to the component that it cools, its lower right corner to its size (arrows move, Shift and arrows size, Page up and down choose). Filled: its print shows contact all over; half: in part; crossed: none; hatched: nobody looked yet.</source>
            <translation>Von oben, der Chip in der Mitte: jedes Pad auf das Bauteil ziehen, das es kühlt, seine untere rechte Ecke auf seine Größe (Pfeile bewegen, Umschalt und Pfeile ändern die Größe, Bild auf und ab wählen). Gefüllt: sein Abdruck zeigt überall Kontakt; halb: zum Teil; durchkreuzt: keinen; schraffiert: noch hat niemand nachgesehen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>Metals in the loop</source>
            <translation>Metalle im Kreislauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>Screw pattern</source>
            <translation>Schraubbild</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source> Nothing is known of {silent}.</source>
            <translation> Über {silent} ist nichts bekannt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>where</source>
            <translation>wo</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>pad, mm</source>
            <translation>Pad, mm</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>gap (measured), mm</source>
            <translation>Spalt (gemessen), mm</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>squeeze at least, %</source>
            <translation>Pressung mindestens, %</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>at most, %</source>
            <translation>höchstens, %</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>its print shows</source>
            <translation>sein Abdruck zeigt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>how it sits</source>
            <translation>wie es sitzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>Tightening</source>
            <translation>Anziehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>Two turns each, then round again until they stop or the torque is reached.</source>
            <translation>Je zwei Umdrehungen, dann wieder reihum, bis sie anschlagen oder das Drehmoment erreicht ist.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>Dew point</source>
            <translation>Taupunkt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>No two metals meet that should not.</source>
            <translation>Keine zwei Metalle treffen sich, die es nicht sollten.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>No part of the loop is known yet.</source>
            <translation>Noch ist kein Teil des Kreislaufs bekannt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>Type the screw's length, the fan's thickness, and the depth from the radiator's flange to its core.</source>
            <translation>Die Länge der Schraube, die Dicke des Lüfters und die Tiefe vom Flansch des Radiators bis zum Netz eintippen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>With the air and its humidity, Kuffin says from when on a cold surface sweats.</source>
            <translation>Mit der Luft und ihrer Feuchte sagt Kuffin, ab wann eine kalte Fläche schwitzt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source> The coldest surface is {figure} K below it: it will sweat, and water will run to the board. Do not run it like this.</source>
            <translation> Die kälteste Fläche liegt {figure} K darunter: sie wird schwitzen, und Wasser läuft aufs Board. So nicht betreiben.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>choose a pad in the table first</source>
            <translation>erst ein Pad in der Tabelle wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>Add a pad</source>
            <translation>Pad hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>screws, across each time</source>
            <translation>Schrauben, jedes Mal über Kreuz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source> Only {figure} K above it: too close, a draught is enough.</source>
            <translation> Nur {figure} K darüber: zu nah, ein Luftzug reicht.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source> {figure} K of room.</source>
            <translation> {figure} K Abstand.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <location filename="../../../../src/kuffin/app/desks/prepare/watch.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>“{content}” is no number</source>
            <translation>„{content}“ ist keine Zahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>screw</source>
            <translation>Schraube</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>fan</source>
            <translation>Lüfter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>depth to the core</source>
            <translation>Tiefe bis zum Netz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>washers</source>
            <translation>Scheiben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>each</source>
            <translation>je</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>grille</source>
            <translation>Gitter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>humidity</source>
            <translation>Feuchte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/fitting.py" />
            <source>coldest wet surface</source>
            <translation>kälteste nasse Fläche</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>Air in the loop</source>
            <translation>Luft im Kreislauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>Smallest step of the gauge</source>
            <translation>Kleinster Schritt des Manometers</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>Loss in 15 minutes that may pass</source>
            <translation>Verlust in 15 Minuten, der durchgehen darf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>Pressure freed from temperature</source>
            <translation>Druck, von der Temperatur befreit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source> Nothing is known of {silent}: see the manuals.</source>
            <translation> Über {silent} ist nichts bekannt: siehe die Anleitungen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source> Without temperatures, a kelvin of change is allowed for.</source>
            <translation> Ohne Temperaturen wird ein Kelvin Änderung zugestanden.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>kPa over air, freed from temperature</source>
            <translation>kPa über Luft, von der Temperatur befreit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>What pressure the parts allow is not on the shelf: see their manuals before you pump.{says_nothing}</source>
            <translation>Welchen Druck die Teile erlauben, steht nicht im Regal: vor dem Pumpen in ihren Anleitungen nachsehen.{says_nothing}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>Never above {most:g} kPa: {whose} allows no more.{says_nothing}</source>
            <translation>Nie über {most:g} kPa: {whose} erlaubt nicht mehr.{says_nothing}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>Let pressure off now: {each:g} kPa is above the {most:g} kPa that {whose} allows.</source>
            <translation>Jetzt Druck ablassen: {each:g} kPa sind über den {most:g} kPa, die {whose} erlaubt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>Pump up, close the valve, and read the pressure every minute or so; with the temperature, if you can.</source>
            <translation>Aufpumpen, das Ventil schließen und den Druck etwa jede Minute ablesen; wenn möglich mit der Temperatur.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>air in the loop</source>
            <translation>Luft im Kreislauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>gauge's smallest step</source>
            <translation>kleinster Schritt des Manometers</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>may lose in 15 min</source>
            <translation>darf in 15 min verlieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>pressure over air</source>
            <translation>Druck über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>at the loop</source>
            <translation>am Kreislauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>hold until here</source>
            <translation>bis hier halten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/leak.py" />
            <source>the leak test passed (under {figure} kPa in 15 min); its step is ticked</source>
            <translation>die Dichtprobe ist bestanden (unter {figure} kPa in 15 min); ihr Schritt ist abgehakt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/watch.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>Readings</source>
            <translation>Messwerte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/watch.py" />
            <source>Take a log</source>
            <translation>Ein Log nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/watch.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>reading the log</source>
            <translation>das Log wird gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/watch.py" />
            <source>minute</source>
            <translation>Minute</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/watch.py" />
            <source>type the {columns} first</source>
            <translation>erst eintippen: {columns}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/watch.py" />
            <source>Read now</source>
            <translation>Jetzt ablesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/watch.py" />
            <source>Takes the time by itself; Enter does the same</source>
            <translation>Nimmt die Zeit von selbst; die Eingabetaste tut dasselbe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/watch.py" />
            <source>Take a log …</source>
            <translation>Ein Log nehmen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/watch.py" />
            <source>Remove the last</source>
            <translation>Letzten entfernen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/watch.py" />
            <source>Clear</source>
            <translation>Leeren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/prepare/watch.py" />
            <source>{file} has no channel that looks like {columns}</source>
            <translation>{file} hat keinen Kanal, der nach {columns} aussieht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/askedpage.py" />
            <source>Here stands what a critical reader will ask of this study, before it goes out. It needs mounts that can be read.</source>
            <translation>Hier steht, was ein kritischer Leser diese Studie fragen wird, bevor sie hinausgeht. Dazu braucht es Montagen, die sich ablesen lassen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/askedpage.py" />
            <source>Nothing of the usual questions is open.</source>
            <translation>Von den üblichen Fragen ist keine offen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/askedpage.py" />
            <source>Each of these is printed in the page with what Kuffin says to it and your own answer, unless it is mended.</source>
            <translation>Jede davon wird mit dem, was Kuffin dazu sagt, und der eigenen Antwort auf der Seite gedruckt, wenn sie nicht behoben wird.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/askedpage.py" />
            <source>to {where} ›</source>
            <translation>zu {where} ›</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/askedpage.py" />
            <source>{asked} Mend it on {where}</source>
            <translation>{asked} Zu beheben unter {where}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/askedpage.py" />
            <source>your own answer, printed before Kuffin's</source>
            <translation>eigene Antwort, vor der von Kuffin gedruckt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/askedpage.py" />
            <source>Your answer to: {asked}</source>
            <translation>Eigene Antwort auf: {asked}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/askedpage.py" />
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>Working …</source>
            <translation>In Arbeit …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>Spreadsheet …</source>
            <translation>Rechenblatt …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>a sheet each for outcomes, readings, pairs and findings</source>
            <translation>je ein Blatt für Ergebnisse, Ablesungen, Paare und Befunde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Readings as CSV …</source>
            <translation>Ablesungen als CSV …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>a row for each mount, under every school</source>
            <translation>eine Zeile je Montage, nach jeder Schule</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>Pairs as CSV …</source>
            <translation>Paare als CSV …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>a row for each pair and school, with its interval</source>
            <translation>eine Zeile je Paar und Schule, mit Intervall</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Findings as CSV …</source>
            <translation>Befunde als CSV …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>what was found, and how it was answered</source>
            <translation>was gefunden wurde, und wie es beantwortet ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Preparation as CSV …</source>
            <translation>Vorbereitung als CSV …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>what was ticked, noted and measured before each run</source>
            <translation>was vor jedem Lauf abgehakt, notiert und gemessen wurde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Everything as JSON …</source>
            <translation>Alles als JSON …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>all of it, with the working of each number</source>
            <translation>alles, mit dem Rechenweg jeder Zahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Copy the table, to paste</source>
            <translation>Die Tabelle kopieren, zum Einfügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>Send a data package …</source>
            <translation>Ein Datenpaket senden …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Take in a data package …</source>
            <translation>Ein Datenpaket hereinnehmen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>Tables</source>
            <translation>Tabellen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>Raw data, for another lab to check</source>
            <translation>Rohdaten, zum Nachprüfen durch ein anderes Labor</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>Notes, prices paid, labels of samples, paths of logs, photos, own marks and own words stay here unless you send them along. Reasons why mounts were left out or kept go with it, as do the instruments' own troubles.</source>
            <translation>Notizen, bezahlte Preise, Namen der Exemplare, Pfade der Logs, Fotos, eigene Noten und eigene Worte bleiben hier, wenn sie nicht ausdrücklich mitgeschickt werden. Gründe, warum Montagen nicht zählen oder gelten, gehen mit, ebenso die Störungen der Instrumente.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>candidates by outcomes, as a table for pages and texts</source>
            <translation>Kandidaten nach Ergebnissen, als Tabelle für Seiten und Texte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>all runs, units, roles, bench, protocol: the same verdict</source>
            <translation>alle Läufe, Einheiten, Rollen, Prüfstand, Ablauf: dasselbe Urteil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/datapage.py" />
            <source>another lab's study beside yours, linked on Compare · Across</source>
            <translation>die Studie eines anderen Labors neben der eigenen, verbunden unter Vergleichen · Übergreifend</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/desk.py" />
            <source>The page</source>
            <translation>Die Seite</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/desk.py" />
            <source>What will be asked</source>
            <translation>Was gefragt werden wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/desk.py" />
            <source>Pictures and video</source>
            <translation>Bilder und Video</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/desk.py" />
            <source>Tables and raw data</source>
            <translation>Tabellen und Rohdaten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/gathered.py" />
            <source>gathering what is published</source>
            <translation>was veröffentlicht wird, wird gesammelt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>The page tells a reader what was found. It needs a study with mounts that can be read.</source>
            <translation>Die Seite erzählt einem Leser, was gefunden wurde. Dazu braucht es eine Studie mit Montagen, die sich ablesen lassen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>{n} sheet</source>
            <translation>{n} Blatt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>{n} sheets</source>
            <translation>{n} Blätter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>Sections of the page</source>
            <translation>Abschnitte der Seite</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>Title of the section</source>
            <translation>Titel des Abschnitts</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>Your own words in this section</source>
            <translation>Eigene Worte in diesem Abschnitt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>Your own words. A number from “Insert” goes on with the study.</source>
            <translation>Eigene Worte. Eine Zahl aus „Einfügen“ geht mit der Studie mit.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>Insert</source>
            <translation>Einfügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>How the page is looked at</source>
            <translation>Wie die Seite angesehen wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>Light or dark</source>
            <translation>Hell oder dunkel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>A folder for page, figures and tables</source>
            <translation>Ein Ordner für Seite, Bilder und Tabellen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>Sections: tick, drag or Alt+Up and Alt+Down</source>
            <translation>Abschnitte: ankreuzen, ziehen, oder Alt+Auf und Alt+Ab</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>setting it …</source>
            <translation>wird gesetzt …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <location filename="../../../../src/kuffin/publish/figures/drawing.py" />
            <source>Light</source>
            <translation>Hell</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <location filename="../../../../src/kuffin/publish/figures/drawing.py" />
            <source>Dark</source>
            <translation>Dunkel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>Write it …</source>
            <translation>Schreiben …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>Page, PDF, figures and tables into a folder</source>
            <translation>Seite, PDF, Bilder und Tabellen in einen Ordner</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>{n} files</source>
            <translation>{n} Dateien</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>begin with page.html</source>
            <translation>mit page.html beginnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>Off unless you ask for it: {private}.</source>
            <translation>Aus, wenn nicht danach gefragt wird: {private}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/pagepage.py" />
            <source>One against another</source>
            <translation>Eines gegen ein anderes</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>Pictures for a page, a slide or a video. They need a study with mounts that can be read.</source>
            <translation>Bilder für eine Seite, eine Folie oder ein Video. Dazu braucht es eine Studie mit Montagen, die sich ablesen lassen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>Pictures</source>
            <translation>Bilder</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>Add the runs' traces</source>
            <translation>Die Kurven der Läufe hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>Reads every run; each mount's traces and staircase join the list</source>
            <translation>Liest jeden Lauf; Kurven und Treppe jeder Montage kommen in die Liste</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>Size</source>
            <translation>Größe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>Ground</source>
            <translation>Untergrund</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>Lines of the frames</source>
            <translation>Linien der Einzelbilder</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>In words: {alt}</source>
            <translation>In Worten: {alt}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>drawing a picture</source>
            <translation>ein Bild wird gezeichnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>reading the runs</source>
            <translation>die Läufe werden gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>the picture is copied, with its words as text</source>
            <translation>das Bild ist kopiert, mit seinen Worten als Text</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>A folder for the pictures</source>
            <translation>Ein Ordner für die Bilder</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>writing pictures into {name}</source>
            <translation>Bilder werden nach {name} geschrieben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>writing frames into {name}</source>
            <translation>Einzelbilder werden nach {name} geschrieben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>choose a picture, and at least one of SVG, PNG and PDF</source>
            <translation>ein Bild wählen, und mindestens eines von SVG, PNG und PDF</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>choose a picture first</source>
            <translation>erst ein Bild wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>{n} lines</source>
            <translation>{n} Linien</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Copy</source>
            <translation>Kopieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>Write chosen …</source>
            <translation>Gewählte schreiben …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>Write all …</source>
            <translation>Alle schreiben …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>Card with the verdict</source>
            <translation>Karte mit dem Urteil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>{n} pictures</source>
            <translation>{n} Bilder</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>{n} frames and cues.txt</source>
            <translation>{n} Einzelbilder und cues.txt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>Frames for a video …</source>
            <translation>Einzelbilder für ein Video …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/picturespage.py" />
            <source>The chosen pictures built up step by step, with a sheet of cues</source>
            <translation>Die gewählten Bilder Schritt für Schritt aufgebaut, mit einem Blatt der Stichworte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/preview.py" />
            <source>On paper</source>
            <translation>Auf Papier</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/preview.py" />
            <source>On a screen</source>
            <translation>Auf einem Bildschirm</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/preview.py" />
            <source>On a phone</source>
            <translation>Auf einem Telefon</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/preview.py" />
            <source>The page as it will be</source>
            <translation>Die Seite, wie sie wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/preview.py" />
            <source>setting the page</source>
            <translation>die Seite wird gesetzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/publish/preview.py" />
            <source>Sheet {i} of {images}</source>
            <translation>Blatt {i} von {images}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <source>A made-up machine with its loop, to learn on: what it records is no measurement, and says so in the run's source.</source>
            <translation>Eine erfundene Maschine mit ihrem Kreislauf, zum Lernen: was sie aufzeichnet, ist keine Messung, und das steht auch in der Quelle des Laufs.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <source> In a study of your own, leave such a run out afterwards: it would count as evidence.</source>
            <translation> In einer eigenen Studie einen solchen Lauf danach ausnehmen: er würde als Beleg zählen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <source>, recheck</source>
            <translation>, Nachprüfung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <source>{name}, round {round}{again}</source>
            <translation>{name}, Runde {round}{again}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <source>{name}, another mount</source>
            <translation>{name}, eine weitere Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <source>{label} · recheck, {due}</source>
            <translation>{label} · Nachprüfung, {due}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <source>new {id}</source>
            <translation>neu {id}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <source>simulated {s}</source>
            <translation>simuliert {s}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <source>this computer's instruments</source>
            <translation>die Instrumente dieses Rechners</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <source>Practice: one fault is hidden in this run. Watch it, decide what you would do, and say afterwards what was wrong.</source>
            <translation>Übung: in diesem Lauf steckt ein Fehler. Zusehen, entscheiden, was zu tun wäre, und danach sagen, was falsch war.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <source>the simulated bench, {s}× life</source>
            <translation>der simulierte Prüfstand, {s}-fache Zeit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <source>the simulated bench</source>
            <translation>der simulierte Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/choosing.py" />
            <source> · ready to run</source>
            <translation> · bereit zum Lauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/desk.py" />
            <source>No candidate yet: give the study some, on the Plan desk</source>
            <translation>Noch kein Kandidat: am Pult „Planen“ der Studie welche geben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/desk.py" />
            <source>there is no mount to run; plan some, or give the study candidates</source>
            <translation>es gibt keine Montage zu fahren; welche planen, oder der Studie Kandidaten geben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/desk.py" />
            <source>{asked} of this step:</source>
            <translation>{asked} dieses Schritts:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/desk.py" />
            <source>nothing was recorded: {over}</source>
            <translation>nichts wurde aufgezeichnet: {over}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/desk.py" />
            <source>Marked. A word, if you like (Enter; Esc for none):</source>
            <translation>Markiert. Ein Wort dazu, wenn gewünscht (Eingabe; Esc für keines):</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/desk.py" />
            <source>“{written}” is no number; nothing was kept</source>
            <translation>„{written}“ ist keine Zahl; nichts wurde behalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/desk.py" />
            <source>“{written}” is no number; {name} is asked for again</source>
            <translation>„{written}“ ist keine Zahl; nach {name} wird noch einmal gefragt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/desk.py" />
            <source>this mount is only made when its run ends; drop the photo on Prepare then</source>
            <translation>diese Montage entsteht erst, wenn ihr Lauf endet; das Foto dann unter „Vorbereiten“ ablegen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/desk.py" />
            <source>a step is skipped only with a reason</source>
            <translation>ein Schritt wird nur mit einem Grund übersprungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Mark (M)</source>
            <translation>Marke (M)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Mark this moment; a word may follow</source>
            <translation>Diesen Augenblick markieren; ein Wort darf folgen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Hold</source>
            <translation>Halten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Stay in this phase until you let it go on</source>
            <translation>In diesem Abschnitt bleiben, bis es weitergehen soll</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Repeat the step</source>
            <translation>Schritt wiederholen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Skip …</source>
            <translation>Überspringen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Stop the run</source>
            <translation>Lauf anhalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Ends it here; what was recorded is kept, and it can go on later</source>
            <translation>Endet hier; was aufgezeichnet ist, bleibt, und es kann später weitergehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Type a reading</source>
            <translation>Messwert eintippen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>A value read off by hand</source>
            <translation>Ein von Hand abgelesener Wert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Comment …</source>
            <translation>Bemerkung …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <location filename="../../../../src/kuffin/app/desks/run/ready.py" />
            <source>Go on with it</source>
            <translation>Damit weitermachen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>The same run goes on, with a gap for the time between</source>
            <translation>Derselbe Lauf geht weiter, mit einer Lücke für die Zeit dazwischen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Carry on</source>
            <translation>Weiter so</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Held</source>
            <translation>Gehalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>{part} over {other}, K, by minutes</source>
            <translation>{part} über {other}, K, nach Minuten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>mark</source>
            <translation>Marke</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>hold</source>
            <translation>halten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>repeat</source>
            <translation>wiederholen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Why skip to the next phase?</source>
            <translation>Warum zum nächsten Abschnitt springen?</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>Stop the run? Enter stops it; Esc lets it go on. What was recorded is kept:</source>
            <translation>Den Lauf anhalten? Eingabe hält ihn an; Esc lässt ihn weiterlaufen. Was aufgezeichnet ist, bleibt:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>type</source>
            <translation>tippen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>A comment on this run:</source>
            <translation>Eine Bemerkung zu diesem Lauf:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>go on run</source>
            <translation>Lauf fortsetzen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/live.py" />
            <source>carry on</source>
            <translation>weiter so</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/practice.py" />
            <source>What was wrong with this run?</source>
            <translation>Was war an diesem Lauf falsch?</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/practice.py" />
            <source>This run and the sound ones</source>
            <translation>Dieser Lauf und die guten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/practice.py" />
            <source>Tell me</source>
            <translation>Auflösen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/practice.py" />
            <source>That is it.</source>
            <translation>Genau das.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/practice.py" />
            <source>Not {guessed}: it was {fault}.</source>
            <translation>Nicht {guessed}: es war {fault}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/practice.py" />
            <source>others</source>
            <translation>andere</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/practice.py" />
            <source>2 to 5 min</source>
            <translation>2 bis 5 min</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/practice.py" />
            <source>at the end</source>
            <translation>am Ende</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/practice.py" />
            <source>Practise another one</source>
            <translation>Noch einen üben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/practice.py" />
            <source>Look at the run</source>
            <translation>Den Lauf ansehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/practice.py" />
            <source>This run, and in the columns beside it the mean of the sound mounts with their scatter.</source>
            <translation>Dieser Lauf, und in den Spalten daneben das Mittel der guten Montagen mit ihrer Streuung.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/ready.py" />
            <source>The mount that is run</source>
            <translation>Die Montage, die gefahren wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/ready.py" />
            <source>The bench it is recorded from</source>
            <translation>Der Prüfstand, von dem aufgezeichnet wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/ready.py" />
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>Start the run</source>
            <translation>Lauf beginnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/ready.py" />
            <source>, {total:.0f} min at {speed:g} times life</source>
            <translation>, {total:.0f} min bei {speed:g}-facher Zeit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/ready.py" />
            <source>About {total:.0f} min{fast}. Kuffin leads, and calls you when it needs you.</source>
            <translation>Etwa {total:.0f} min{fast}. Kuffin führt und ruft, wenn es jemanden braucht.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/ready.py" />
            <source>Not watched, as no channel tells it: {without}.</source>
            <translation>Nicht überwacht, weil kein Kanal es sagt: {without}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/ready.py" />
            <source>The run on {name}, round {round} was cut off after {duration_s:.1f} min; {rows} rows of it are kept.</source>
            <translation>Der Lauf auf {name}, Runde {round}, wurde nach {duration_s:.1f} min abgebrochen; {rows} Zeilen davon sind bewahrt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/ready.py" />
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>Mount</source>
            <translation>Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/ready.py" />
            <source>   recorded from</source>
            <translation>   aufgezeichnet von</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/ready.py" />
            <source>Change the protocol</source>
            <translation>Den Ablauf ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/ready.py" />
            <source>The bench's instruments</source>
            <translation>Die Instrumente des Prüfstands</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/ready.py" />
            <source>Close it as it is</source>
            <translation>So abschließen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>{minutes} to go</source>
            <translation>noch {minutes}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>waiting for you</source>
            <translation>wartet auf jemanden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>Nothing to do</source>
            <translation>Nichts zu tun</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>at most {minutes}</source>
            <translation>höchstens {minutes}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>What was recorded is kept.</source>
            <translation>Was aufgezeichnet wurde, ist bewahrt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>see to the load</source>
            <translation>sich um die Last kümmern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>{doing}, then press.</source>
            <translation>{doing}, dann drücken.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>cooling down; what is measured is kept</source>
            <translation>kühlt ab; was gemessen ist, ist bewahrt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>held before the full load: stop and remount, or carry on</source>
            <translation>vor der vollen Last gehalten: anhalten und neu montieren, oder weiter so</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>Mount check: {sentence}</source>
            <translation>Prüfung der Montage: {sentence}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>Look at this run</source>
            <translation>Diesen Lauf ansehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>Done</source>
            <translation>Fertig</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>go on</source>
            <translation>weiter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>Stop and remount</source>
            <translation>Anhalten und neu montieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>longer than foreseen, at most {minutes}</source>
            <translation>länger als erwartet, höchstens {minutes}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>The step waits, and begins anew when the load runs.</source>
            <translation>Der Schritt wartet und beginnt neu, wenn die Last läuft.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>Start the load again</source>
            <translation>Die Last wieder starten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>{name} has settled</source>
            <translation>{name} ist eingeschwungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>the run is over: {over}</source>
            <translation>der Lauf ist vorbei: {over}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>a light load, until the mount is checked; the full load comes after it</source>
            <translation>eine leichte Last, bis die Montage geprüft ist; danach kommt die volle</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>The load runs</source>
            <translation>Die Last läuft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>The load is stopped</source>
            <translation>Die Last ist aus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>where it is heading cannot be told: {why_not}</source>
            <translation>wohin es strebt, lässt sich nicht sagen: {why_not}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>{why}; what is read now is the result</source>
            <translation>{why}; was jetzt gelesen wird, ist das Ergebnis</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/run/stagewords.py" />
            <source>too early to tell where it is heading</source>
            <translation>zu früh, um zu sagen, wohin es strebt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/askwhere.py" />
            <source>Add: {kind}</source>
            <translation>Hinzufügen: {kind}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/askwhere.py" />
            <source>Its port, such as /dev/ttyUSB0:</source>
            <translation>Seine Schnittstelle, etwa /dev/ttyUSB0:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/askwhere.py" />
            <source>Its address, as host:port:</source>
            <translation>Seine Adresse, als Rechner:Port:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/askwhere.py" />
            <source>The command; its output's lines hold the numbers:</source>
            <translation>Der Befehl; die Zeilen seiner Ausgabe enthalten die Zahlen:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/askwhere.py" />
            <source>What is typed, with its unit in brackets, such as: infrared spot [°C], score</source>
            <translation>Was getippt wird, mit der Einheit in Klammern, etwa: Infrarotpunkt [°C], Punkte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/askwhere.py" />
            <source>infrared spot [°C]</source>
            <translation>Infrarotpunkt [°C]</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/askwhere.py" />
            <source>The folder of the kernel's sensors:</source>
            <translation>Der Ordner der Sensoren des Kernels:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <location filename="../../../../src/kuffin/app/frame/navigation.py" />
            <source>Bench</source>
            <translation>Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>The loop, in the direction of flow</source>
            <translation>Der Kreislauf, in Flussrichtung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>Instruments</source>
            <translation>Instrumente</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Set up a bench</source>
            <translation>Einen Prüfstand einrichten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Its name, such as the booth or the table it stands on:</source>
            <translation>Sein Name, etwa die Kabine oder der Tisch, wo er steht:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>kind</source>
            <translation>Art</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>length, mm</source>
            <translation>Länge, mm</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>cools</source>
            <translation>kühlt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Air counts at the radiator's intake: the room's middle is another channel, and often a kelvin cooler.</source>
            <translation>Luft zählt am Einlass des Radiators: die Mitte des Raums ist ein anderer Kanal und oft ein Kelvin kühler.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>On this computer, live</source>
            <translation>An diesem Rechner, live</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Which parts stand in the loop is not told yet.</source>
            <translation>Welche Teile im Kreislauf stehen, ist noch nicht gesagt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>It holds about {total:.0f} ± {spread:.0f} mL</source>
            <translation>Er fasst etwa {total:.0f} ± {spread:.0f} mL</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>take another bench</source>
            <translation>einen anderen Prüfstand nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Rename the bench</source>
            <translation>Den Prüfstand umbenennen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>tell what power at the wall holds</source>
            <translation>sagen, was die Leistung an der Steckdose enthält</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>set up a bench first</source>
            <translation>erst einen Prüfstand einrichten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>choose a part of the loop in the table first</source>
            <translation>erst ein Teil des Kreislaufs in der Tabelle wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Set up a bench …</source>
            <translation>Prüfstand einrichten …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Rename it …</source>
            <translation>Umbenennen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Add to the loop</source>
            <translation>In den Kreislauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>Set up a bench: what the loop is made of, and what measures it.</source>
            <translation>Einen Prüfstand einrichten: woraus der Kreislauf besteht, und was ihn misst.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source> (estimated: {guessed})</source>
            <translation> (geschätzt: {guessed})</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>rename the bench</source>
            <translation>den Prüfstand umbenennen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>there is nothing on the shelf that belongs into a loop; add blocks, radiators, pumps or tubes there</source>
            <translation>im Regal liegt nichts, was in einen Kreislauf gehört; dort Blöcke, Radiatoren, Pumpen oder Schläuche hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>none yet</source>
            <translation>noch keiner</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>A part from the shelf:</source>
            <translation>Ein Teil aus dem Regal:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>“{written}” is no length; give it in mm</source>
            <translation>„{written}“ ist keine Länge; in mm angeben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/benchpage.py" />
            <source>cools the {device}</source>
            <translation>kühlt {device}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>zero check of {day}</source>
            <translation>Nullabgleich vom {day}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>Two points</source>
            <translation>Zwei Punkte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>Read and true, cold then warm, such as:  0.4 0.0  50.9 50.0</source>
            <translation>Gelesen und wahr, erst kalt, dann warm, etwa:  0,4 0,0  50,9 50,0</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>Zero check: with everything off for hours and the loop running, all probes are at one temperature. Kuffin then levels them on their median, so that differences between probes are right even where none is exact. “Accuracy” is what the maker states, or a calibration: 0.2, or 2 %, or 2 % + 0.1.</source>
            <translation>Nullabgleich: ist seit Stunden alles aus und läuft der Kreislauf, haben alle Fühler eine Temperatur. Kuffin gleicht sie dann auf ihren Median ab, sodass Unterschiede zwischen Fühlern stimmen, auch wo keiner genau ist. „Genauigkeit“ ist die Angabe des Herstellers, oder eine Kalibrierung: 0,2, oder 2 %, oder 2 % + 0,1.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>; the machine draws {power:.0f} W now, so part of that may be real: do it again with everything off</source>
            <translation>; die Maschine zieht gerade {power:.0f} W, ein Teil davon kann also echt sein: mit allem aus wiederholen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>{add} probes are levelled; they differed by {spread} K{warm}</source>
            <translation>{add} Fühler sind abgeglichen; sie lagen um {spread} K auseinander{warm}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>Offset</source>
            <translation>Versatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>What is added to what it reads:</source>
            <translation>Was zu seinem Messwert addiert wird:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>Zero check</source>
            <translation>Nullabgleich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>Everything is at room temperature now: level the probes</source>
            <translation>Alles hat jetzt Raumtemperatur: die Fühler abgleichen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>Two points …</source>
            <translation>Zwei Punkte …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>Offset …</source>
            <translation>Versatz …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>As it reads</source>
            <translation>Wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>“{written}” is no number; write what is added, such as −0.4</source>
            <translation>„{written}“ ist keine Zahl; schreiben, was addiert wird, etwa −0,4</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/calibrating.py" />
            <source>“{written}” are not four numbers: read and true, cold, then warm</source>
            <translation>„{written}“ sind nicht vier Zahlen: gelesen und wahr, erst kalt, dann warm</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/coolantchoice.py" />
            <source>Coolant that curves are carried to</source>
            <translation>Kühlmittel, auf das Kurven übertragen werden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/coolantchoice.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>Coolant temperature</source>
            <translation>Temperatur des Kühlmittels</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>Where the readings come from</source>
            <translation>Woher die Messwerte kommen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>Coolant in it</source>
            <translation>Kühlmittel darin</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>read</source>
            <translation>gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/partcurves.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>on</source>
            <translation>am</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>its temperature</source>
            <translation>seine Temperatur</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>instruments</source>
            <translation>Instrumente</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>flow is good to ±</source>
            <translation>Durchfluss genau auf ±</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>pressure is good to ±</source>
            <translation>Druck genau auf ±</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>tell more of the readings</source>
            <translation>mehr über die Messwerte sagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>Measured on</source>
            <translation>Gemessen am</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>which meter and gauge</source>
            <translation>welcher Messer und welches Manometer</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>Accuracy of flow</source>
            <translation>Genauigkeit des Durchflusses</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>Accuracy of pressure</source>
            <translation>Genauigkeit des Drucks</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/curvefacts.py" />
            <source>Note</source>
            <translation>Notiz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/desk.py" />
            <source>Parts</source>
            <translation>Teile</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/desk.py" />
            <source>Restriction</source>
            <translation>Widerstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/desk.py" />
            <source>Pumps and loops</source>
            <translation>Pumpen und Kreisläufe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/desk.py" />
            <source>Flow readings</source>
            <translation>Durchflussmessungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/livepairs.py" />
            <source>Read live</source>
            <translation>Live ablesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/livepairs.py" />
            <source>With the instruments that are set up on the Bench page</source>
            <translation>Mit den Instrumenten, die auf der Seite „Prüfstand“ eingerichtet sind</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/livepairs.py" />
            <source>Take this pair  (Space)</source>
            <translation>Dieses Paar nehmen  (Leertaste)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/livepairs.py" />
            <source>Open the valve a little, wait until both stand still, press Space. Close it step by step.</source>
            <translation>Das Ventil ein wenig öffnen, warten, bis beide stillstehen, Leertaste drücken. Schritt für Schritt schließen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/livepairs.py" />
            <source>Keep water away from mains and open electronics; stay below the lowest pressure that any part's maker allows.</source>
            <translation>Wasser von Netzspannung und offener Elektronik fernhalten; unter dem kleinsten Druck bleiben, den ein Hersteller der Teile erlaubt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/livepairs.py" />
            <source>no instrument on the Bench page tells {lacking}; set one up there, or type the readings</source>
            <translation>kein Instrument auf der Seite „Prüfstand“ sagt {lacking}; dort eines einrichten, oder die Werte eintippen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/livepairs.py" />
            <source>nothing is read yet; wait until both values stand here</source>
            <translation>noch ist nichts gelesen; warten, bis beide Werte hier stehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/livepairs.py" />
            <source>Stop reading live</source>
            <translation>Live-Ablesen beenden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/loads.py" />
            <source>Loads</source>
            <translation>Lasten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/loads.py" />
            <source>load {loads}</source>
            <translation>Last {loads}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/loads.py" />
            <source>the simulated bench now tells its values through a folder, a serial port and a network port, as real instruments do; it ends with this window</source>
            <translation>der simulierte Prüfstand sagt seine Werte jetzt über einen Ordner, eine serielle und eine Netzwerkschnittstelle, wie echte Instrumente; er endet mit diesem Fenster</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/loads.py" />
            <source>command that starts it</source>
            <translation>Befehl, der sie startet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/loads.py" />
            <source>Simulated load on</source>
            <translation>Simulierte Last an</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/loads.py" />
            <source>Simulated load off</source>
            <translation>Simulierte Last aus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/loads.py" />
            <source>Commands are yours alone: they are kept in your settings on this computer, never in a notebook, and a notebook can only ask for a load by name. Without a command, Kuffin asks you to start the load.</source>
            <translation>Befehle gehören allein diesem Konto: sie stehen in den Einstellungen auf diesem Rechner, nie in einem Heft, und ein Heft kann eine Last nur beim Namen nennen. Ohne Befehl bittet Kuffin, die Last von Hand zu starten.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/loads.py" />
            <source>the simulated bench is offered already</source>
            <translation>der simulierte Prüfstand wird schon angeboten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/loads.py" />
            <source>Add a load</source>
            <translation>Last hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/loads.py" />
            <source>Try it with the simulated bench</source>
            <translation>Mit dem simulierten Prüfstand ausprobieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/loads.py" />
            <source>A folder, a serial port and a network port that behave like real ones</source>
            <translation>Ein Ordner, eine serielle und eine Netzwerkschnittstelle, die sich wie echte verhalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>Pumps and loops put measured parts together: the flow of any loop, what a second block would cost, and which pump speed a flow needs. It takes a pump's curve, from its maker's sheet or measured, and the restriction of a part or two.</source>
            <translation>„Pumpen und Kreisläufe“ setzt gemessene Teile zusammen: den Durchfluss jedes Kreislaufs, was ein zweiter Block kosten würde, und welche Pumpendrehzahl ein Durchfluss braucht. Dazu braucht es die Kurve einer Pumpe, vom Blatt ihres Herstellers oder gemessen, und den Widerstand von einem Teil oder zweien.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>after the one above</source>
            <translation>nach dem darüber</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>beside the one above</source>
            <translation>neben dem darüber</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>Pump speed</source>
            <translation>Pumpendrehzahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>Flow that is wanted</source>
            <translation>Gewünschter Durchfluss</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <location filename="../../../../src/kuffin/app/widgets/loopring.py" />
            <source>The loop</source>
            <translation>Der Kreislauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>The loop's drop and the pump's head</source>
            <translation>Druckabfall des Kreislaufs und Förderhöhe der Pumpe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>Flow against pump speed</source>
            <translation>Durchfluss über Pumpendrehzahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>Intervals hold 95 %, from the readings and their instruments. A loop has more parts than those with curves: tubes, fittings and bends lower the flow further.</source>
            <translation>Die Intervalle halten 95 %, aus den Messwerten und ihren Instrumenten. Ein Kreislauf hat mehr Teile als die mit Kurven: Schläuche, Verschraubungen und Bögen senken den Durchfluss weiter.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/partcurves.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>flow, L/h</source>
            <translation>Durchfluss, L/h</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/partcurves.py" />
            <source>pressure, kPa</source>
            <translation>Druck, kPa</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>pump speed, %</source>
            <translation>Pumpendrehzahl, %</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>flow of this loop, L/h</source>
            <translation>Durchfluss dieses Kreislaufs, L/h</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>wanted</source>
            <translation>gewünscht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>pieces, in series</source>
            <translation>Stück, hintereinander</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>how it stands</source>
            <translation>wie es steht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>Add a part</source>
            <translation>Teil hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>As on the bench</source>
            <translation>Wie am Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>The parts of the bench's loop that have curves</source>
            <translation>Die Teile des Kreislaufs am Prüfstand, die Kurven haben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>{PURPOSE} Missing: {lacking}.</source>
            <translation>{PURPOSE} Es fehlt: {lacking}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>“{content}” is no number of pieces; write 1 to 20</source>
            <translation>„{content}“ ist keine Stückzahl; 1 bis 20 schreiben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>a pump's curve</source>
            <translation>die Kurve einer Pumpe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/looppage.py" />
            <source>a part's restriction</source>
            <translation>der Widerstand eines Teils</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>instrument</source>
            <translation>Instrument</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>unit</source>
            <translation>Einheit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>% of reading</source>
            <translation>% vom Messwert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>% of full scale</source>
            <translation>% vom Endwert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>full scale</source>
            <translation>Endwert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>counts</source>
            <translation>Digits</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>of</source>
            <translation>von</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>calibrated</source>
            <translation>kalibriert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>offset</source>
            <translation>Versatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>± at</source>
            <translation>± bei</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>Probes</source>
            <translation>Fühler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>{half} {unit} at {at:g} {of}</source>
            <translation>{half} {unit} bei {at:g} {of}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>tells</source>
            <translation>misst</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>where it sits</source>
            <translation>wo er sitzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>channel in the logs</source>
            <translation>Kanal in den Logs</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>Add a probe</source>
            <translation>Fühler hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>Probes of {name}</source>
            <translation>Fühler von {name}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>instrument {n}</source>
            <translation>Instrument {n}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>Add an instrument</source>
            <translation>Instrument hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>radiator intake</source>
            <translation>Einlass des Radiators</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/measuring.py" />
            <source>“{written}” is no number</source>
            <translation>„{written}“ ist keine Zahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/newreadings.py" />
            <source>New readings of …</source>
            <translation>Neue Messwerte von …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/newreadings.py" />
            <source>Put a block, a radiator or a pump on the shelf first</source>
            <translation>Erst einen Block, einen Radiator oder eine Pumpe ins Regal stellen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partcurves.py" />
            <source>What this part restricts, or gives</source>
            <translation>Was dieses Teil hemmt oder leistet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partcurves.py" />
            <source>Curves of this part</source>
            <translation>Kurven dieses Teils</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partcurves.py" />
            <source>Flow and pressure</source>
            <translation>Durchfluss und Druck</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partcurves.py" />
            <source>coolant or temperature not told</source>
            <translation>Kühlmittel oder Temperatur nicht angegeben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partcurves.py" />
            <source>readings</source>
            <translation>Messwerte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partcurves.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>{n} reading</source>
            <translation>{n} Messwert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partcurves.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>{n} readings</source>
            <translation>{n} Messwerte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>maker</source>
            <translation>Hersteller</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>Price</source>
            <translation>Preis</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>currency</source>
            <translation>Währung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>its maker claims</source>
            <translation>Angabe des Herstellers</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>notes</source>
            <translation>Notizen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>Notes on the part</source>
            <translation>Notizen zum Teil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>note on a part</source>
            <translation>Notiz zu einem Teil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>label</source>
            <translation>Bezeichnung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>how it came</source>
            <translation>wie es kam</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>Tolerance of {label}</source>
            <translation>Toleranz von {label}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>Still blank: {missing}. What is blank is estimated, and said to be.</source>
            <translation>Noch leer: {missing}. Was leer ist, wird geschätzt, und das wird gesagt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>change {label} of {name}</source>
            <translation>{label} von {name} ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>choose a sample in the table first</source>
            <translation>erst ein Exemplar in der Tabelle wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>choose …</source>
            <translation>wählen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>rename a part</source>
            <translation>ein Teil umbenennen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>change the maker</source>
            <translation>den Hersteller ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>change the price</source>
            <translation>den Preis ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>change the currency</source>
            <translation>die Währung ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>change what its maker claims</source>
            <translation>ändern, was Angabe des Herstellers</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>change where it is claimed</source>
            <translation>ändern, wo es angegeben ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>a sample needs a label</source>
            <translation>ein Exemplar braucht eine Bezeichnung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>a part has at least one sample; put the part into the bin instead</source>
            <translation>ein Teil hat mindestens ein Exemplar; stattdessen das Teil in den Papierkorb legen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/partform.py" />
            <source>a sample of {name}</source>
            <translation>ein Exemplar von {name}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>Readings of flow and pressure on one part, and what they are worth. Choose a part to begin with.</source>
            <translation>Messwerte von Durchfluss und Druck an einem Teil, und was sie wert sind. Zuerst ein Teil wählen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>Whose readings</source>
            <translation>Wessen Messwerte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>Bin them</source>
            <translation>In den Papierkorb</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>Readings and the curve through them</source>
            <translation>Messwerte und die Kurve durch sie</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>Residuals</source>
            <translation>Residuen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>off the curve, in standard uncertainties</source>
            <translation>neben der Kurve, in Standardunsicherheiten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>read {name}</source>
            <translation>{name} lesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>mend a reading of {name}</source>
            <translation>einen Messwert von {name} berichtigen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>Take a table or a log</source>
            <translation>Eine Tabelle oder ein Log nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>{rows} readings taken from {name}</source>
            <translation>{rows} Messwerte aus {name} genommen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <source>Add</source>
            <translation>Hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>Enter does the same</source>
            <translation>Die Eingabetaste tut dasselbe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>remove a reading of {name}</source>
            <translation>einen Messwert von {name} entfernen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>{rows} readings pasted</source>
            <translation>{rows} Messwerte eingefügt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>{rows} steady stretches taken from {name}</source>
            <translation>{rows} ruhige Strecken aus {name} genommen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>Paste</source>
            <translation>Einfügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>Rows from a table, with or without a head</source>
            <translation>Zeilen aus einer Tabelle, mit oder ohne Kopf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>Take a table or log …</source>
            <translation>Tabelle oder Log nehmen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>Remove row</source>
            <translation>Zeile entfernen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>Not fitted yet: {error}.</source>
            <translation>Noch keine Kurve: {error}.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/readingspage.py" />
            <source>{file} is neither a table of readings ({no_table}) nor a log of flow and pressure</source>
            <translation>{file} ist weder eine Tabelle mit Messwerten ({no_table}) noch ein Log von Durchfluss und Druck</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>Restriction shows what pressure each part costs at any flow. Type or paste pairs of flow and pressure drop for a block or a radiator, take them from a log, or read them live while you close a valve step by step.</source>
            <translation>„Widerstand“ zeigt, welchen Druck jedes Teil bei welchem Durchfluss kostet. Für einen Block oder Radiator Paare von Durchfluss und Druckabfall eintippen oder einfügen, aus einem Log nehmen, oder live ablesen und dabei ein Ventil Schritt für Schritt schließen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>Reference flow</source>
            <translation>Bezugsdurchfluss</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>Pressure drop against flow</source>
            <translation>Druckabfall über Durchfluss</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>Drops at the reference flow</source>
            <translation>Druckabfälle beim Bezugsdurchfluss</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>Without a pressure gauge</source>
            <translation>Ohne Manometer</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>Bands hold 95 %, the instruments' accuracy in them; dashed is beyond what was measured. Differences hold 95 % over all pairs together; what the same instruments have in common cancels in them.</source>
            <translation>Die Bänder halten 95 %, mit der Genauigkeit der Instrumente; gestrichelt ist jenseits des Gemessenen. Unterschiede halten 95 % über alle Paare zusammen; was dieselben Instrumente gemeinsam haben, hebt sich darin auf.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>pressure drop of one, kPa</source>
            <translation>Druckabfall eines Teils, kPa</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>drop at {flow:.0f} L/h</source>
            <translation>Abfall bei {flow:.0f} L/h</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>drop, kPa, of q in L/h</source>
            <translation>Abfall, kPa, aus q in L/h</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/restrictionpage.py" />
            <source>{size} at {low:.0f} to {high:.0f} L/h</source>
            <translation>{size} bei {low:.0f} bis {high:.0f} L/h</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>find</source>
            <translation>suchen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>Find a part</source>
            <translation>Ein Teil suchen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>Parts on the shelf</source>
            <translation>Teile im Regal</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>The shelf keeps parts, their samples and photos, for all studies of this notebook. Add one, read a list, or start a study: its candidates come here by themselves.</source>
            <translation>Das Regal bewahrt Teile, ihre Exemplare und Fotos, für alle Studien dieses Hefts. Eines hinzufügen, eine Liste lesen, oder eine Studie beginnen: ihre Kandidaten kommen von selbst hierher.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>All that is known of it</source>
            <translation>Alles, was davon bekannt ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>What every study of this notebook says of this part</source>
            <translation>Was jede Studie dieses Hefts über dieses Teil sagt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>The {kind}'s name:</source>
            <translation>Name ({kind}):</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>Read a list of parts</source>
            <translation>Eine Teileliste lesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>Lists of parts (*.csv *.json)</source>
            <translation>Teilelisten (*.csv *.json)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>Write the parts</source>
            <translation>Die Teile schreiben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>CSV (*.csv);;JSON (*.json)</source>
            <translation>CSV (*.csv);;JSON (*.json)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>open or make a notebook first: the shelf is kept in it</source>
            <translation>erst ein Heft öffnen oder anlegen: das Regal wird darin bewahrt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>choose a part first</source>
            <translation>erst ein Teil wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>Put the chosen part into the bin</source>
            <translation>Das gewählte Teil in den Papierkorb legen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>Read a list …</source>
            <translation>Liste lesen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>Parts from CSV or JSON</source>
            <translation>Teile aus CSV oder JSON</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>{name}: {added} added to the shelf, {changed} brought up to date</source>
            <translation>{name}: {added} ins Regal gestellt, {changed} auf den neuen Stand gebracht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/shelfpage.py" />
            <source>  ·  {n} samples</source>
            <translation>  ·  {n} Exemplare</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>at ear height, front</source>
            <translation>auf Ohrhöhe, vorn</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>Position of the microphone</source>
            <translation>Ort des Mikrofons</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>Calibrations and backgrounds</source>
            <translation>Kalibrierungen und Hintergründe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>{kind} {kept}.flac</source>
            <translation>{kind} {kept}.flac</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>Distance of the microphone</source>
            <translation>Abstand des Mikrofons</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>Level of the calibrator</source>
            <translation>Pegel des Kalibrators</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>Accuracy of the calibrator</source>
            <translation>Genauigkeit des Kalibrators</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>By how much the calibrator is recorded louder than the rest</source>
            <translation>Um wie viel lauter als der Rest der Kalibrator aufgenommen wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>put into the bin</source>
            <translation>in den Papierkorb gelegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>it says</source>
            <translation>sie sagt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>1 Pa is {pascals} of full scale</source>
            <translation>1 Pa sind {pascals} des Endwerts</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>microphone</source>
            <translation>Mikrofon</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>m off,</source>
            <translation>m entfernt,</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>calibrator</source>
            <translation>Kalibrator</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>dB, recorded</source>
            <translation>dB, aufgenommen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>dB louder than the rest (lower: below 0)</source>
            <translation>dB lauter als der Rest (leiser: unter 0)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>Add a calibrator's recording …</source>
            <translation>Aufnahme des Kalibrators hinzufügen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>Add the bench at rest …</source>
            <translation>Ruhenden Prüfstand hinzufügen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>With all off that is tested: it is taken off by energy</source>
            <translation>Mit allem aus, was geprüft wird: er wird nach Energie abgezogen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>Record the calibrator</source>
            <translation>Kalibrator aufnehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/soundsetup.py" />
            <source>Record the bench at rest</source>
            <translation>Ruhenden Prüfstand aufnehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>20 times a second</source>
            <translation>20-mal je Sekunde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>10 times a second</source>
            <translation>10-mal je Sekunde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>5 times a second</source>
            <translation>5-mal je Sekunde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>twice a second</source>
            <translation>zweimal je Sekunde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>once a second</source>
            <translation>einmal je Sekunde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>every 2 s</source>
            <translation>alle 2 s</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>every 5 s</source>
            <translation>alle 5 s</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>Add one …</source>
            <translation>Eines hinzufügen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>How often a row is kept</source>
            <translation>Wie oft eine Zeile bewahrt wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>Nothing is read on this computer yet. Kuffin looks at the kernel's sensors and listens at serial ports; it sends nothing.</source>
            <translation>An diesem Rechner wird noch nichts gelesen. Kuffin sieht nach den Sensoren des Kernels und hört an seriellen Schnittstellen; es sendet nichts.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>Live instruments</source>
            <translation>Live-Instrumente</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>Live channels</source>
            <translation>Live-Kanäle</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>Channels of {name}</source>
            <translation>Kanäle von {name}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>looking for instruments</source>
            <translation>Instrumente werden gesucht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>choose a channel that is recorded first</source>
            <translation>erst einen Kanal wählen, der aufgezeichnet wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>read every</source>
            <translation>gelesen alle</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>baud</source>
            <translation>Baud</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>asked with</source>
            <translation>gefragt mit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>recorded</source>
            <translation>aufgezeichnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>what it is</source>
            <translation>was es ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>accuracy ±</source>
            <translation>Genauigkeit ±</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>calibration</source>
            <translation>Kalibrierung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>{values} values</source>
            <translation>{values} Werte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>typed while a run is recorded</source>
            <translation>getippt, während ein Lauf aufgezeichnet wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>a run is being recorded; look for instruments when it is over</source>
            <translation>ein Lauf wird aufgezeichnet; nach Instrumenten suchen, wenn er vorbei ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>nothing new was found: neither sensors of the kernel's nor serial ports that are not listed yet</source>
            <translation>nichts Neues gefunden: weder Sensoren des Kernels noch serielle Schnittstellen, die nicht schon aufgeführt sind</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>Look for instruments</source>
            <translation>Instrumente suchen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>   a row</source>
            <translation>   eine Zeile</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>yes</source>
            <translation>ja</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <source>no</source>
            <translation>nein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/thiscomputer.py" />
            <location filename="../../../../src/kuffin/instruments/setup.py" />
            <source>typed by hand</source>
            <translation>von Hand getippt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/wallpower.py" />
            <source>Power at the wall that is not the part's</source>
            <translation>Leistung an der Steckdose, die nicht die des Teils ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/wallpower.py" />
            <source>Efficiency of the supply</source>
            <translation>Wirkungsgrad des Netzteils</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/wallpower.py" />
            <source>Power at the wall: take off</source>
            <translation>Leistung an der Steckdose: abziehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/wallpower.py" />
            <source>W that the rest draws; supply</source>
            <translation>W, die der Rest zieht; Netzteil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/desks/shelf/wallpower.py" />
            <source>% efficient. Used only where a log has no other power.</source>
            <translation>% Wirkungsgrad. Nur wo ein Log keine andere Leistung hat.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/askingreadings.py" />
            <source>day first</source>
            <translation>Tag zuerst</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/askingreadings.py" />
            <source>month first</source>
            <translation>Monat zuerst</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/askingreadings.py" />
            <source>year first</source>
            <translation>Jahr zuerst</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/askingreadings.py" />
            <source>a decimal comma: 31,512 is thirty-one and a half</source>
            <translation>ein Dezimalkomma: 31,512 ist einunddreißigeinhalb</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/askingreadings.py" />
            <source>thousands: 31,512 is over thirty thousand</source>
            <translation>Tausender: 31,512 ist über dreißigtausend</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/askingreadings.py" />
            <source>milliseconds</source>
            <translation>Millisekunden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/askingreadings.py" />
            <source>seconds</source>
            <translation>Sekunden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/askingreadings.py" />
            <source>minutes</source>
            <translation>Minuten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/askingreadings.py" />
            <source>hours</source>
            <translation>Stunden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/askingreadings.py" />
            <source>This log can be read in two ways</source>
            <translation>Dieses Log lässt sich auf zwei Arten lesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <source>belongs to</source>
            <translation>gehört zu</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <location filename="../../../../src/kuffin/app/dialogs/onemount.py" />
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>tested under</source>
            <translation>geprüft unter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <location filename="../../../../src/kuffin/app/dialogs/onemount.py" />
            <source>run with</source>
            <translation>gefahren mit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <source>Logs to add</source>
            <translation>Logs zum Hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <source>Candidate of {file}</source>
            <translation>Kandidat von {file}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <source>Mount of {file}</source>
            <translation>Montage von {file}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <source>What {file} was tested under</source>
            <translation>Unter was {file} geprüft wurde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <source>What {file} was run with</source>
            <translation>Womit {file} gefahren wurde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <source>which? choose …</source>
            <translation>welche? wählen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <source>one test only</source>
            <translation>nur eine Prüfung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/assigntable.py" />
            <source>round {n}, new</source>
            <translation>Runde {n}, neu</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/binview.py" />
            <source>Delete {items} things for good? This cannot be undone, and the history for Undo goes with it.</source>
            <translation>{items} Dinge endgültig löschen? Das lässt sich nicht rückgängig machen, und auch der Verlauf für „Rückgängig“ geht verloren.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/binview.py" />
            <source>Bin</source>
            <translation>Papierkorb</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/binview.py" />
            <source>What lies in the bin</source>
            <translation>Was im Papierkorb liegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/binview.py" />
            <source>Take it out again</source>
            <translation>Wieder herausnehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/binview.py" />
            <source>Empty the bin …</source>
            <translation>Papierkorb leeren …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/binview.py" />
            <source>Close</source>
            <translation>Schließen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/binview.py" />
            <source>Empty the bin</source>
            <translation>Papierkorb leeren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/binview.py" />
            <source>What you delete stays here until you empty the bin.</source>
            <translation>Gelöschtes bleibt hier, bis der Papierkorb geleert wird.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/binview.py" />
            <source>The bin is empty.</source>
            <translation>Der Papierkorb ist leer.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <source>Change the study</source>
            <translation>Die Studie ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <source>Candidates, in their order</source>
            <translation>Kandidaten, in ihrer Reihenfolge</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <source> K in 10 min</source>
            <translation> K in 10 min</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <source>Short name</source>
            <translation>Kurzer Name</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <source>K/W are shown at</source>
            <translation>K/W werden gezeigt bei</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <source>Re-based to a room of</source>
            <translation>Bezogen auf einen Raum von</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <source>Still counts as settled</source>
            <translation>Gilt noch als eingeschwungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>Mounts of each, planned</source>
            <translation>Montagen je Kandidat, geplant</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <source>new candidate</source>
            <translation>neuer Kandidat</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <source>Take away</source>
            <translation>Wegnehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/changestudy.py" />
            <source>Double-click to rename, drag to reorder. Who is taken away goes to the bin with its mounts.</source>
            <translation>Doppelklick zum Umbenennen, Ziehen zum Ordnen. Weggenommene kommen mit ihren Montagen in den Papierkorb.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/channels.py" />
            <source>Several dies of one device, and several air probes, count as their mean, and limits watch the hottest; of every other role the first channel is used. A channel that is the largest or the mean of others needs no role.</source>
            <translation>Mehrere Chips eines Geräts und mehrere Luftfühler zählen als ihr Mittel, und Grenzen achten auf den heißesten; von jeder anderen Rolle gilt der erste Kanal. Ein Kanal, der das Größte oder das Mittel anderer ist, braucht keine Rolle.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/channels.py" />
            <source>Channels of {source}</source>
            <translation>Kanäle von {source}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/channels.py" />
            <source>for all logs of this notebook with these columns, and for those to come</source>
            <translation>für alle Logs dieses Hefts mit diesen Spalten, auch für künftige</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/channels.py" />
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>Role of {name}</source>
            <translation>Rolle von {name}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/channels.py" />
            <location filename="../../../../src/kuffin/app/dialogs/incoming.py" />
            <source>no unit</source>
            <translation>keine Einheit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/cooledrow.py" />
            <source>What the loop cools, in the direction of flow</source>
            <translation>Was der Kreislauf kühlt, in Flussrichtung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/cooledrow.py" />
            <source>asked about: the die of</source>
            <translation>gefragt ist nach: dem Chip von</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/cooledrow.py" />
            <source>the loop cools</source>
            <translation>der Kreislauf kühlt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/cooledrow.py" />
            <source>Several devices are in these logs;</source>
            <translation>In diesen Logs sind mehrere Geräte;</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <source>{capitalize} of {names}: neither name nor time says whether each is another mount, or another test of one that is there.</source>
            <translation>{capitalize} von {names}: weder Name noch Zeit sagen, ob jedes eine weitere Montage ist, oder eine weitere Prüfung einer, die da ist.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <source>Add {n} log</source>
            <translation>{n} Log hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <source>Add {n} logs</source>
            <translation>{n} Logs hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <source>A mount each</source>
            <translation>Je eine Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <source>Tests of one mount</source>
            <translation>Prüfungen einer Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <source>! lacks {lacks}</source>
            <translation>! es fehlt {lacks}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <source>! recorded while {file} was: one of them may be a further log (Join a log …)</source>
            <translation>! zur selben Zeit wie {file} aufgezeichnet: eines kann ein weiteres Log sein (Ein Log verbinden …)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <source>{homeless} still without a candidate</source>
            <translation>{homeless} noch ohne Kandidaten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <source>{open_rows} still without a mount</source>
            <translation>{open_rows} noch ohne Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <source>{doubtful} marked “!”: as their roles stand, they cannot be judged or hold readings that cannot be</source>
            <translation>{doubtful} mit „!“: so, wie ihre Rollen stehen, lassen sie sich nicht beurteilen, oder sie enthalten Werte, die nicht sein können</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <source>! look at its roles</source>
            <translation>! nach seinen Rollen sehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/importlogs.py" />
            <source>Not read: </source>
            <translation>Nicht gelesen: </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/incoming.py" />
            <source>; a clock?</source>
            <translation>; ein Takt?</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/incoming.py" />
            <source>Unit that {name} was written in</source>
            <translation>Einheit, in der {name} geschrieben wurde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/incoming.py" />
            <source>(no role)</source>
            <translation>(keine Rolle)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/incoming.py" />
            <source>Device of {name}</source>
            <translation>Gerät von {name}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/incoming.py" />
            <source>“{name}” reads {middle:,.0f}{unit}: that is no {label}{perhaps}</source>
            <translation>„{name}“ zeigt {middle:,.0f}{unit}: das ist kein Wert für {label}{perhaps}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>every {interval_s:.3g} s</source>
            <translation>alle {interval_s:.3g} s</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>Join {file}</source>
            <translation>{file} verbinden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>{rows} rows over {duration_s:.1f} min, {rate}. It is kept as it came; only its clock is moved.</source>
            <translation>{rows} Zeilen über {duration_s:.1f} min, {rate}. Es wird bewahrt, wie es kam; nur seine Uhr wird verschoben.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>Channel of the run</source>
            <translation>Kanal des Laufs</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>Channel of the log</source>
            <translation>Kanal des Logs</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>Find the lag by these</source>
            <translation>Den Verzug danach finden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>By their clocks</source>
            <translation>Nach ihren Uhren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>Lag</source>
            <translation>Verzug</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>Join it</source>
            <translation>Verbinden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>run</source>
            <translation>Lauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>lag</source>
            <translation>Verzug</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>What its channels are. The run's own channel of a role goes first.</source>
            <translation>Was seine Kanäle sind. Der eigene Kanal des Laufs mit einer Rolle geht vor.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>at this lag the log overlaps nowhere with the run</source>
            <translation>bei diesem Verzug überschneidet sich das Log nirgends mit dem Lauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/joinlog.py" />
            <source>By their clocks: {lag:.0f} s.</source>
            <translation>Nach ihren Uhren: {lag:.0f} s.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>How dates are written</source>
            <translation>Wie Tage geschrieben sind</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>Decimal sign</source>
            <translation>Dezimalzeichen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>, from {start}</source>
            <translation>, ab {start}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>, without a date</source>
            <translation>, ohne Datum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source> · {n} gap</source>
            <translation> · {n} Lücke</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source> · {n} gaps</source>
            <translation> · {n} Lücken</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>Reading {file} again …</source>
            <translation>{file} wird noch einmal gelesen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>channel</source>
            <translation>Kanal</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>written in</source>
            <translation>geschrieben in</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>role</source>
            <translation>Rolle</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>from … to</source>
            <translation>von … bis</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>Channels and their roles</source>
            <translation>Kanäle und ihre Rollen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>The file's first lines</source>
            <translation>Die ersten Zeilen der Datei</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>The file as it was read</source>
            <translation>Die Datei, wie sie gelesen wurde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>{file}: {rows} rows over {duration_s:.1f} min, every {interval_s:.3g} s{start}{gaps} · {encoding}, delimiter {delimiter}</source>
            <translation>{file}: {rows} Zeilen über {duration_s:.1f} min, alle {interval_s:.3g} s{start}{gaps} · {encoding}, Trennzeichen {delimiter}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>the study's verdict needs {lacks}: give a channel that role, or this mount cannot be read</source>
            <translation>das Urteil der Studie braucht {lacks}: einem Kanal diese Rolle geben, sonst lässt sich die Montage nicht ablesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>Role of {n}</source>
            <translation>Rolle von {n}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>decimal point</source>
            <translation>Dezimalpunkt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>decimal comma</source>
            <translation>Dezimalkomma</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>Units, roles and devices are guesses. Change what is wrong; it is remembered for logs with the same columns. </source>
            <translation>Einheiten, Rollen und Geräte sind vermutet. Falsches ändern; es wird für Logs mit denselben Spalten gemerkt. </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source> · roles as you chose before</source>
            <translation> · Rollen wie zuvor gewählt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/logdetails.py" />
            <source>the bench</source>
            <translation>der Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>Start a study</source>
            <translation>Eine Studie beginnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>such as: Which slim radiator keeps booth seven cool?</source>
            <translation>etwa: Welcher flache Radiator hält Kabine sieben kühl?</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>Candidates,
one a line</source>
            <translation>Kandidaten,
einer je Zeile</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>Start the study</source>
            <translation>Studie beginnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>judged by {label}; can be changed at any time</source>
            <translation>beurteilt nach {label}; jederzeit zu ändern</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>A study begins with a question.</source>
            <translation>Eine Studie beginnt mit einer Frage.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source> and {more} more</source>
            <translation> und {more} weitere</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>{waiting} waits: it is added when the study has begun. Candidates are proposed from the names.</source>
            <translation>{waiting} wartet: es wird hinzugefügt, wenn die Studie begonnen hat. Kandidaten sind nach den Namen vorgeschlagen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>Two candidates have the same name.</source>
            <translation>Zwei Kandidaten haben denselben Namen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>It is kept in {place}.</source>
            <translation>Sie wird in {place} bewahrt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>{waiting} wait: they are added when the study has begun. Candidates are proposed from the names.</source>
            <translation>{waiting} warten: sie werden hinzugefügt, wenn die Studie begonnen hat. Kandidaten sind nach den Namen vorgeschlagen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/newstudy.py" />
            <source>Name at least two candidates.</source>
            <translation>Mindestens zwei Kandidaten nennen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/onemount.py" />
            <source>Tests of this mount</source>
            <translation>Prüfungen dieser Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/onemount.py" />
            <source>Take it so</source>
            <translation>So nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/onemount.py" />
            <source>What {source} was run with</source>
            <translation>Womit {source} gefahren wurde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/onemount.py" />
            <source>{source}, round {round}, is a test of this mount</source>
            <translation>{source}, Runde {round}, ist eine Prüfung dieser Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/onemount.py" />
            <source>such as stock, 240 W</source>
            <translation>etwa ab Werk, 240 W</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/onemount.py" />
            <source>What {source} was tested under</source>
            <translation>Unter was {source} geprüft wurde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/onemount.py" />
            <source>this mount</source>
            <translation>diese Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/onemount.py" />
            <source>The logs that were recorded on {name}, round {round}: put together once, and not taken apart between them. They count as one piece of evidence for each condition.</source>
            <translation>Die Logs, die auf {name}, Runde {round}, aufgezeichnet wurden: einmal zusammengebaut und dazwischen nicht zerlegt. Für jede Bedingung zählen sie als ein Beleg.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/onemount.py" />
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>round {round}</source>
            <translation>Runde {round}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/onemount.py" />
            <source>the run</source>
            <translation>der Lauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/practisestudy.py" />
            <source>The blocks, their scatter and what is wrong with a mount now and then are made up and hidden. Plan, mount, look at each run, leave out or mount again what is spoilt, and say what may be said before the hours are over. Each mount takes its hours, good or bad.</source>
            <translation>Die Blöcke, ihre Streuung und was dann und wann an einer Montage falsch ist, sind erfunden und verborgen. Planen, montieren, jeden Lauf ansehen, Verdorbenes ausnehmen oder neu montieren, und sagen, was gesagt werden darf, bevor die Stunden um sind. Jede Montage kostet ihre Stunden, gut oder schlecht.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/practisestudy.py" />
            <source>Practice study</source>
            <translation>Übungsstudie</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/practisestudy.py" />
            <source>Candidate to mount</source>
            <translation>Zu montierender Kandidat</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/practisestudy.py" />
            <source>Mount and run it</source>
            <translation>Montieren und fahren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/practisestudy.py" />
            <source>What you say</source>
            <translation>Eigenes Urteil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/practisestudy.py" />
            <source>Say it, and see what was so</source>
            <translation>Sagen, und sehen, wie es war</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/practisestudy.py" />
            <source>mounting and running</source>
            <translation>montieren und fahren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/practisestudy.py" />
            <source>say what may be said</source>
            <translation>sagen, was gesagt werden darf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/practisestudy.py" />
            <source>No practice study is open.</source>
            <translation>Keine Übungsstudie ist offen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/practisestudy.py" />
            <source>{used:.1f} of {hours:g} h used, {made} mounts; </source>
            <translation>{used:.1f} von {hours:g} h verbraucht, {made} Montagen; </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/practisestudy.py" />
            <source>I say that</source>
            <translation>Ich sage, dass</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/practisestudy.py" />
            <source>no time for another one</source>
            <translation>keine Zeit für eine weitere</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/practisestudy.py" />
            <source>{left} more can be made</source>
            <translation>{left} weitere sind möglich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>Open a notebook …</source>
            <translation>Heft öffnen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>Fill the shelf first: parts, samples, the bench …</source>
            <translation>Erst das Regal füllen: Teile, Exemplare, der Prüfstand …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>A bench notebook for cooling tests</source>
            <translation>Ein Versuchsheft für Kühlungstests</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>Kuffin plans a test and walks through each mount, finds when each run settled, takes the room out, compares candidates with the mount as the unit of evidence, and says what may honestly be said.</source>
            <translation>Kuffin plant eine Prüfung und führt durch jede Montage, findet, wann jeder Lauf eingeschwungen war, nimmt den Raum heraus, vergleicht Kandidaten mit der Montage als Einheit der Belege, und sagt, was ehrlich gesagt werden darf.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>Take the tour</source>
            <translation>Rundgang machen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>two minutes on the demo, by doing</source>
            <translation>zwei Minuten an der Demo, zum Selbermachen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Open the demo</source>
            <translation>Demo öffnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>four slim radiators, three afternoons, a truth that is known</source>
            <translation>vier flache Radiatoren, drei Nachmittage, eine bekannte Wahrheit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>Practise</source>
            <translation>Üben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>run a mount on the simulated bench: one fault is hidden in it, and you find it</source>
            <translation>eine Montage am simulierten Prüfstand fahren: ein Fehler steckt darin und ist zu finden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>what is compared, the candidates, how small a difference matters</source>
            <translation>was verglichen wird, die Kandidaten, und wie klein ein Unterschied zählt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>or drop log files anywhere on this window</source>
            <translation>oder Logs irgendwo auf diesem Fenster ablegen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/start.py" />
            <source>Kuffin is no safety device. Keep water away from mains, heed the parts' manuals and local rules, and leave mains work to qualified people. More under Help.</source>
            <translation>Kuffin ist keine Sicherheitseinrichtung. Wasser von Netzspannung fernhalten, die Anleitungen der Teile und die örtlichen Regeln beachten, und Arbeiten an Netzspannung Fachleuten überlassen. Mehr unter Hilfe.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>what</source>
            <translation>was</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>as it stood there</source>
            <translation>wie es dort stand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>step of its last digit</source>
            <translation>Schritt der letzten Stelle</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>taken as</source>
            <translation>genommen als</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>Type readings</source>
            <translation>Messwerte eintippen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>Candidate</source>
            <translation>Kandidat</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>Tested under</source>
            <translation>Geprüft unter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>not looked at</source>
            <translation>nicht angesehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>Minutes since the load began</source>
            <translation>Minuten seit Beginn der Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>temperatures of the parts were read with an infrared meter, as of a black surface</source>
            <translation>Temperaturen der Teile mit einem Infrarotmesser gelesen, wie von einer schwarzen Fläche</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>Emissivity</source>
            <translation>Emissionsgrad</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>Reflected temperature, °C</source>
            <translation>Gespiegelte Temperatur, °C</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>die 64; coolant 31.5; air 22.1; power 203</source>
            <translation>Chip 64; Kühlmittel 31,5; Luft 22,1; Leistung 203</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>A line of figures, to be taken apart</source>
            <translation>Eine Zeile mit Werten, zum Zerlegen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>minutes since the load began</source>
            <translation>Minuten seit Beginn der Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>emissivity of the surface</source>
            <translation>Emissionsgrad der Fläche</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>temperature that it reflects, °C</source>
            <translation>Temperatur, die sie spiegelt, °C</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>Keep these readings</source>
            <translation>Diese Werte behalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>a new one</source>
            <translation>eine neue</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>a line to take apart (Enter), with names or in the order below</source>
            <translation>eine Zeile zum Zerlegen (Eingabe), mit Namen oder in der Reihenfolge unten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>“{text}” is no number of minutes</source>
            <translation>„{text}“ ist keine Zahl von Minuten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/typereadings.py" />
            <source>round {round}, without readings so far</source>
            <translation>Runde {round}, bisher ohne Messwerte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/unkept.py" />
            <source>{told}. Make room: it is tried again by itself, and this closes. Or have it written elsewhere as a log.</source>
            <translation>{told}. Platz schaffen: es wird von selbst wieder versucht, und das hier schließt sich. Oder es anderswo als Log schreiben lassen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/unkept.py" />
            <source>The end of the run is not kept yet</source>
            <translation>Das Ende des Laufs ist noch nicht bewahrt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/unkept.py" />
            <source>Write it elsewhere</source>
            <translation>Anderswo schreiben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/dialogs/unkept.py" />
            <source>What was recorded is safe in memory while this window is open.</source>
            <translation>Was aufgezeichnet ist, liegt sicher im Speicher, solange dieses Fenster offen ist.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/copying.py" />
            <source>the table is copied, {cells} rows</source>
            <translation>die Tabelle ist kopiert, {cells} Zeilen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/copying.py" />
            <source>the words are copied</source>
            <translation>die Worte sind kopiert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/copying.py" />
            <source>the picture is copied</source>
            <translation>das Bild ist kopiert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/copying.py" />
            <source>nothing here can be copied: click into a table or a picture first, or use the right button</source>
            <translation>hier lässt sich nichts kopieren: erst in eine Tabelle oder ein Bild klicken, oder die rechte Taste nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/copying.py" />
            <source>Copy these words</source>
            <translation>Diese Worte kopieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/copying.py" />
            <source>What does “{w}” mean?</source>
            <translation>Was heißt „{w}“?</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/copying.py" />
            <source>{name} could not be written: {strerror}</source>
            <translation>{name} ließ sich nicht schreiben: {strerror}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/copying.py" />
            <source>Copy the table</source>
            <translation>Tabelle kopieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/copying.py" />
            <source>Copy the picture</source>
            <translation>Bild kopieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/copying.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Picture as PNG …</source>
            <translation>Bild als PNG …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/copying.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Picture as SVG …</source>
            <translation>Bild als SVG …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/copying.py" />
            <source>the folder cannot be written</source>
            <translation>in den Ordner lässt sich nicht schreiben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/earlywindow.py" />
            <source>as last kept; opening …</source>
            <translation>wie zuletzt bewahrt; wird geöffnet …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/earlywindow.py" />
            <source>opening …</source>
            <translation>wird geöffnet …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/finder.py" />
            <source>Find</source>
            <translation>Suchen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/finder.py" />
            <source>an action, a page, a study, a mount, a part</source>
            <translation>eine Handlung, eine Seite, eine Studie, eine Montage, ein Teil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/finder.py" />
            <source>Find an action, a page, a study, a mount, a candidate or a part</source>
            <translation>Eine Handlung, eine Seite, eine Studie, eine Montage, einen Kandidaten oder ein Teil suchen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/finder.py" />
            <source>What was found</source>
            <translation>Was gefunden wurde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/finder.py" />
            <source>desk</source>
            <translation>Pult</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/finder.py" />
            <source>part, {kind}</source>
            <translation>Teil, {kind}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/finder.py" />
            <source>nothing is called so</source>
            <translation>nichts heißt so</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/finder.py" />
            <source>page of {name}</source>
            <translation>Seite von {name}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/header.py" />
            <source>why ›</source>
            <translation>warum ›</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/header.py" />
            <source>Verdict so far</source>
            <translation>Urteil bisher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/header.py" />
            <source>Choose a study</source>
            <translation>Eine Studie wählen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/header.py" />
            <source>, after {counting}</source>
            <translation>, nach {counting}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/header.py" />
            <source>So far{after}: {continued}</source>
            <translation>Bisher{after}: {continued}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/header.py" />
            <source>Next: {label}</source>
            <translation>Weiter: {label}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/header.py" />
            <source>say what was wrong</source>
            <translation>sagen, was falsch war</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/header.py" />
            <source>what Kuffin noticed is told after you have said it</source>
            <translation>was Kuffin bemerkt hat, wird danach gesagt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/header.py" />
            <source>Next  ▸  {label}</source>
            <translation>Weiter  ▸  {label}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/header.py" />
            <source>Stopped before all runs were read: go on from Inspect, Findings.</source>
            <translation>Angehalten, bevor alle Läufe gelesen waren: weiter unter Ansehen, Befunde.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>the shelf, the bench</source>
            <translation>das Regal, der Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>the page before or after</source>
            <translation>die Seite davor oder danach</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>move a mount earlier or later, in the order</source>
            <translation>eine Montage früher oder später legen, in der Reihenfolge</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>tick the step that has the focus, and go to the next; Space ticks it alone</source>
            <translation>den Schritt mit dem Fokus abhaken und zum nächsten gehen; die Leertaste hakt nur ab</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>on Run: the one big button; mark the moment (a word may follow)</source>
            <translation>am Pult „Lauf“: die eine große Taste; den Augenblick markieren (ein Wort darf folgen)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>to the loom; arrows move over it, Enter opens a mount</source>
            <translation>zum Webstuhl; Pfeile gehen darüber, Eingabe öffnet eine Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>show the working of what has the focus</source>
            <translation>den Rechenweg dessen zeigen, was den Fokus hat</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>close the working</source>
            <translation>den Rechenweg schließen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>help at the bench: desks, words, methods</source>
            <translation>Hilfe am Prüfstand: Pulte, Worte, Verfahren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>find an action, a page, a study, a mount or a part by typing</source>
            <translation>eine Handlung, eine Seite, eine Studie, eine Montage oder ein Teil durch Tippen finden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>copy the table or the picture that has the focus (or the right button)</source>
            <translation>die Tabelle oder das Bild mit dem Fokus kopieren (oder die rechte Taste)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>do the next thing</source>
            <translation>das Nächste tun</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>zoom a trace; Alt+Left and Alt+Right move along it, Home shows all; Ctrl+Left and Ctrl+Right move its cursor</source>
            <translation>eine Kurve vergrößern; Alt+Links und Alt+Rechts gehen an ihr entlang, Pos1 zeigt alles; Strg+Links und Strg+Rechts bewegen ihren Zeiger</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>undo, redo</source>
            <translation>rückgängig, wiederholen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>add logs</source>
            <translation>Logs hinzufügen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>fold the loom</source>
            <translation>den Webstuhl einklappen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/helptexts.py" />
            <source>Kuffin {version}
A bench notebook for people who test cooling parts.

MIT licence. The B612 fonts are under the SIL Open Font License.

Kuffin is no safety device.</source>
            <translation>Kuffin {version}
Ein Versuchsheft für alle, die Kühlteile prüfen.

MIT-Lizenz. Die Schriften B612 stehen unter der SIL Open Font License.

Kuffin ist keine Sicherheitseinrichtung.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/lazydesks.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Keys</source>
            <translation>Tasten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/lazydesks.py" />
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Caution at the bench</source>
            <translation>Vorsicht am Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/links.py" />
            <source>reading the samples</source>
            <translation>die Messwerte werden gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loom.py" />
            <source>{name}, round {round}{value} ({state})</source>
            <translation>{name}, Runde {round}{value} ({state})</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loom.py" />
            <source>The loom: candidates and rounds</source>
            <translation>Der Webstuhl: Kandidaten und Runden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loom.py" />
            <source>no mounts yet</source>
            <translation>noch keine Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loom.py" />
            <source>round</source>
            <translation>Runde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loom.py" />
            <source>{name} round {round}: {state}{value}</source>
            <translation>{name} Runde {round}: {state}{value}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loom.py" />
            <source>The loom shows each mount of a study. Start a study, or drop logs here.</source>
            <translation>Der Webstuhl zeigt jede Montage einer Studie. Eine Studie beginnen, oder Logs hier ablegen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loom.py" />
            <source>rails: {foot} at the foot, {top} at the top</source>
            <translation>Schienen: {foot} am Fuß, {top} oben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loom.py" />
            <source>no mount yet: drop a log here</source>
            <translation>noch keine Montage: hier ein Log ablegen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loomside.py" />
            <source>filled: counts · open with ?: doubtful · struck: left out · small: planned, dotted: next, half: on the bench, underlined: ready · dot: no mount yet (click it or drop a log) · ring: on the desk</source>
            <translation>gefüllt: zählt · offen mit ?: zweifelhaft · durchgestrichen: zählt nicht · klein: geplant, gepunktet: als Nächstes, halb: am Prüfstand, unterstrichen: bereit · Punkt: noch keine Montage (anklicken oder ein Log ablegen) · Ring: auf dem Pult</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loomside.py" />
            <source>the shapes  ▴</source>
            <translation>die Formen  ▴</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loomside.py" />
            <source>the shapes  ▾</source>
            <translation>die Formen  ▾</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loomside.py" />
            <source>kept: {kept_because}</source>
            <translation>gilt: {kept_because}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loomside.py" />
            <source>{away} {unit} above the mean of its siblings</source>
            <translation>{away} {unit} über dem Mittel seiner Geschwister</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loomside.py" />
            <source>{away} {unit} below the mean of its siblings</source>
            <translation>{away} {unit} unter dem Mittel seiner Geschwister</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/loomside.py" />
            <source> (accepted)</source>
            <translation> (gelten gelassen)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Undo</source>
            <translation>Rückgängig</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Redo</source>
            <translation>Wiederholen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>New notebook …</source>
            <translation>Neues Heft …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Open …</source>
            <translation>Öffnen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Open recent</source>
            <translation>Zuletzt geöffnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Practise on the simulated bench</source>
            <translation>Am simulierten Prüfstand üben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Practise a whole study …</source>
            <translation>Eine ganze Studie üben …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Write the demo's logs …</source>
            <translation>Die Logs der Demo schreiben …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Save a copy as …</source>
            <translation>Kopie speichern unter …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Bin …</source>
            <translation>Papierkorb …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Quit</source>
            <translation>Beenden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Find …</source>
            <translation>Suchen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Start a study …</source>
            <translation>Studie beginnen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Change the study …</source>
            <translation>Studie ändern …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Add logs …</source>
            <translation>Logs hinzufügen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Type readings …</source>
            <translation>Messwerte eintippen …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Put this mount into the bin</source>
            <translation>Diese Montage in den Papierkorb legen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Put this study into the bin</source>
            <translation>Diese Studie in den Papierkorb legen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Verdicts as CSV …</source>
            <translation>Urteile als CSV …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Raw data as a package …</source>
            <translation>Rohdaten als Paket …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Tables as a spreadsheet …</source>
            <translation>Tabellen als Rechenblatt …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Picture as PDF …</source>
            <translation>Bild als PDF …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Fold the loom</source>
            <translation>Webstuhl einklappen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>To the loom</source>
            <translation>Zum Webstuhl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <location filename="../../../../src/kuffin/app/widgets/workingpanel.py" />
            <source>Show working</source>
            <translation>Rechenweg zeigen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Do the next thing</source>
            <translation>Das Nächste tun</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Sound when a run settles or needs you</source>
            <translation>Ton, wenn ein Lauf eingeschwungen ist oder jemanden braucht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Larger text</source>
            <translation>Größere Schrift</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Smaller text</source>
            <translation>Kleinere Schrift</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Usual text</source>
            <translation>Übliche Schrift</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>the language changes with the next start</source>
            <translation>die Sprache wechselt mit dem nächsten Start</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Help at the bench …</source>
            <translation>Hilfe am Prüfstand …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Two-minute tour</source>
            <translation>Rundgang, zwei Minuten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <location filename="../../../../src/kuffin/app/frame/window.py" />
            <source>About Kuffin</source>
            <translation>Über Kuffin</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>&amp;Notebook</source>
            <translation>&amp;Heft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>&amp;Edit</source>
            <translation>&amp;Bearbeiten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>&amp;Study</source>
            <translation>&amp;Studie</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>&amp;View</source>
            <translation>&amp;Ansicht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>&amp;Help</source>
            <translation>Hil&amp;fe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>The shelf</source>
            <translation>Das Regal</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>The bench</source>
            <translation>Der Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Language</source>
            <translation>Sprache</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Undo: {undo}</source>
            <translation>Rückgängig: {undo}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/menus.py" />
            <source>Redo: {redo}</source>
            <translation>Wiederholen: {redo}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>cut off</source>
            <translation>abgebrochen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>waiting</source>
            <translation>wartet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>not finished</source>
            <translation>nicht zu Ende</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>doubtful</source>
            <translation>zweifelhaft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>kept</source>
            <translation>gilt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>typed</source>
            <translation>getippt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/mountstates.py" />
            <source>level known</source>
            <translation>Höhe bekannt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/navigation.py" />
            <source>Plan</source>
            <translation>Planen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/navigation.py" />
            <source>Prepare</source>
            <translation>Vorbereiten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/navigation.py" />
            <source>Run</source>
            <translation>Lauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/navigation.py" />
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Inspect</source>
            <translation>Ansehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/navigation.py" />
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Compare</source>
            <translation>Vergleichen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/navigation.py" />
            <source>Publish</source>
            <translation>Veröffentlichen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/navigation.py" />
            <source>Shelf</source>
            <translation>Regal</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/practising.py" />
            <source>Practise a whole study</source>
            <translation>Eine ganze Studie üben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/practising.py" />
            <source>Candidates:</source>
            <translation>Kandidaten:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/practising.py" />
            <source>Hours there are for it:</source>
            <translation>Stunden, die dafür da sind:</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/strip.py" />
            <source>The bench now</source>
            <translation>Der Prüfstand jetzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/strip.py" />
            <source>What was done, or went wrong</source>
            <translation>Was getan wurde oder schiefging</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/strip.py" />
            <source>open the folder</source>
            <translation>Ordner öffnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/strip.py" />
            <source>close</source>
            <translation>schließen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/strip.py" />
            <source>stop</source>
            <translation>anhalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/strip.py" />
            <source>written: {what}, in {folder}{hint}</source>
            <translation>geschrieben: {what}, in {folder}{hint}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/strip.py" />
            <source>the desktop could not open {written}; it is there all the same</source>
            <translation>{written} ließ sich nicht öffnen; es ist trotzdem da</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/strip.py" />
            <source>every edit is kept when made</source>
            <translation>jede Änderung ist sofort bewahrt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/strip.py" />
            <source>{name} (read-only)</source>
            <translation>{name} (schreibgeschützt)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>The sentence on top is all that may be said so far, and no more.</source>
            <translation>Der Satz oben ist alles, was bisher gesagt werden darf, und nicht mehr.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>See what it rests on: click “why ›”.</source>
            <translation>Sehen, worauf er ruht: „warum ›“ anklicken.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Every number in Kuffin opens its working like this.</source>
            <translation>Jede Zahl in Kuffin öffnet so ihren Rechenweg.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Close it: Esc.</source>
            <translation>Schließen: Esc.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>At the left, each row is a candidate, each column a round, each shape one mount. A question mark is a doubt.</source>
            <translation>Links ist jede Zeile ein Kandidat, jede Spalte eine Runde, jede Form eine Montage. Ein Fragezeichen ist ein Zweifel.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Open a mount with a question mark: click it.</source>
            <translation>Eine Montage mit Fragezeichen öffnen: anklicken.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>This is its run. Only the shaded window counts: Kuffin put it where all had settled.</source>
            <translation>Das ist ihr Lauf. Nur das schattierte Fenster zählt: Kuffin hat es dahin gesetzt, wo alles eingeschwungen war.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Drag the left edge of the window a little.</source>
            <translation>Den linken Rand des Fensters ein wenig ziehen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>The numbers followed. There is no Save: an edit is kept when made, and can be taken back.</source>
            <translation>Die Zahlen sind gefolgt. Es gibt kein Speichern: jede Änderung ist sofort bewahrt und lässt sich zurücknehmen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Take it back: Ctrl+Z.</source>
            <translation>Zurücknehmen: Strg+Z.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Compare has every pair, with what may be said of it.</source>
            <translation>„Vergleichen“ hat jedes Paar, mit dem, was darüber gesagt werden darf.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Go there: Ctrl+5.</source>
            <translation>Dorthin gehen: Strg+5.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Anything can be found by typing: actions, pages, studies, mounts, parts.</source>
            <translation>Alles lässt sich durch Tippen finden: Handlungen, Seiten, Studien, Montagen, Teile.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Ctrl+K, type “pastes”, and Enter on the study.</source>
            <translation>Strg+K, „pastes“ tippen, und Eingabe auf der Studie.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>The button at the top right is the one next thing to do, and why.</source>
            <translation>Der Knopf oben rechts ist das eine Nächste, und warum.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Follow it: click it, or Ctrl+Enter.</source>
            <translation>Ihm folgen: anklicken, oder Strg+Eingabe.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Tour</source>
            <translation>Rundgang</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>skip this</source>
            <translation>überspringen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Practise on a bench</source>
            <translation>An einem Prüfstand üben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>End the tour</source>
            <translation>Rundgang beenden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>{at} of {STOPS}</source>
            <translation>{at} von {STOPS}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>That is how one moves about. Help at the bench (Shift+F1) has a page for each desk.</source>
            <translation>So geht man umher. Hilfe am Prüfstand (Umschalt+F1) hat zu jedem Pult eine Seite.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/tour.py" />
            <source>Now run a mount yourself, on a simulated bench: one fault is hidden in it.</source>
            <translation>Nun selbst eine Montage fahren, an einem simulierten Prüfstand: ein Fehler steckt darin.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/window.py" />
            <source>A run is being recorded</source>
            <translation>Ein Lauf wird aufgezeichnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/window.py" />
            <source>Stop the run and close the window? What was recorded is kept, and the load is stopped where Kuffin can.</source>
            <translation>Den Lauf anhalten und das Fenster schließen? Was aufgezeichnet ist, ist bewahrt, und die Last wird angehalten, wo Kuffin das kann.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/window.py" />
            <source>{stem} – Kuffin</source>
            <translation>{stem} – Kuffin</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/frame/window.py" />
            <source>Kept in another place</source>
            <translation>An einem anderen Ort bewahrt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/help/helpwindow.py" />
            <source>At the desk</source>
            <translation>Am Pult</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/help/helpwindow.py" />
            <source>What it means</source>
            <translation>Was es heißt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/help/helpwindow.py" />
            <source>How the numbers are made</source>
            <translation>Wie die Zahlen entstehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/help/helpwindow.py" />
            <source>Help at the bench</source>
            <translation>Hilfe am Prüfstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/help/helpwindow.py" />
            <source>search: settled, margin, leak test</source>
            <translation>suchen: settled, margin, leak test</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/help/helpwindow.py" />
            <source>Search the help</source>
            <translation>In der Hilfe suchen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/help/helpwindow.py" />
            <source>Topics</source>
            <translation>Themen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/help/helpwindow.py" />
            <source>The topic</source>
            <translation>Das Thema</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/help/helpwindow.py" />
            <source>At hand</source>
            <translation>Zur Hand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/help/helpwindow.py" />
            <source>nothing is written of that</source>
            <translation>davon steht nichts geschrieben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/look/speech.py" />
            <location filename="../../../../src/kuffin/app/look/theme.py" />
            <source>Follow the desktop</source>
            <translation>Wie der Schreibtisch</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/look/theme.py" />
            <source>Paper</source>
            <translation>Papier</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/look/theme.py" />
            <source>Dark, for the bench at night</source>
            <translation>Dunkel, für den Prüfstand bei Nacht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/state/running.py" />
            <source>closing the run</source>
            <translation>der Lauf wird abgeschlossen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/state/running.py" />
            <source> at {speed:g}×</source>
            <translation> bei {speed:g}×</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/state/running.py" />
            <source>a run is being recorded already</source>
            <translation>ein Lauf wird schon aufgezeichnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/state/running.py" />
            <source>{name} is read-only; save a copy and record into that</source>
            <translation>{name} ist schreibgeschützt; eine Kopie speichern und dort aufzeichnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/state/running.py" />
            <source>keeping the run</source>
            <translation>der Lauf wird bewahrt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/state/shelfstate.py" />
            <source>looking at earlier studies</source>
            <translation>frühere Studien werden angesehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/state/windowstate.py" />
            <source>judging the study</source>
            <translation>die Studie wird beurteilt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/alarmband.py" />
            <source>Alarm</source>
            <translation>Alarm</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/boostplot.py" />
            <source>die, °C</source>
            <translation>Chip, °C</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/boostplot.py" />
            <source>Clock against temperature</source>
            <translation>Takt gegen Temperatur</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/controlplot.py" />
            <source>Control chart of the baseline</source>
            <translation>Regelkarte des Bezugs</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/controlplot.py" />
            <source>lower limit</source>
            <translation>untere Grenze</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/controlplot.py" />
            <source>centre</source>
            <translation>Mitte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/controlplot.py" />
            <source>upper limit</source>
            <translation>obere Grenze</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/controlplot.py" />
            <source>day {number}</source>
            <translation>Tag {number}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/daysheet.py" />
            <source>The plan, day by day</source>
            <translation>Der Plan, Tag für Tag</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/daysheet.py" />
            <source>Nothing is laid yet.</source>
            <translation>Noch ist nichts gelegt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/fewlines.py" />
            <location filename="../../../../src/kuffin/app/widgets/texts.py" />
            <source>Click, or F1: show the working</source>
            <translation>Klick, oder F1: den Rechenweg zeigen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/figuretable.py" />
            <source>{row}: {told}; show its working</source>
            <translation>{row}: {told}; den Rechenweg zeigen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/findingpicture.py" />
            <source>{n} other mount: {low} to {high} {unit}</source>
            <translation>{n} andere Montage: {low} bis {high} {unit}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/findingpicture.py" />
            <source>{n} other mounts: {low} to {high} {unit}</source>
            <translation>{n} andere Montagen: {low} bis {high} {unit}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/findingpicture.py" />
            <source>Picture of what was found</source>
            <translation>Bild des Befunds</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/findingpicture.py" />
            <source>shaded: where chance would leave a sound mount</source>
            <translation>schattiert: wo der Zufall eine gute Montage ließe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/flights.py" />
            <source>Staircases</source>
            <translation>Treppen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/flights.py" />
            <source>The staircase needs air, and coolant or die; for K/W also power.</source>
            <translation>Die Treppe braucht Luft, und Kühlmittel oder Chip; für K/W auch Leistung.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/flights.py" />
            <source>largest</source>
            <translation>größte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/forms.py" />
            <source>{accessibleName} lies between {low:g} and {high:g}</source>
            <translation>{accessibleName} liegt zwischen {low:g} und {high:g}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/forms.py" />
            <source>{accessibleName}: “{written}” is no number</source>
            <translation>{accessibleName}: „{written}“ ist keine Zahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/intervalgrid.py" />
            <source>Candidates under every condition and on every part</source>
            <translation>Kandidaten unter jeder Bedingung und an jedem Teil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/intervalgrid.py" />
            <source>{results} of {cells} comparisons are there</source>
            <translation>{results} von {cells} Vergleichen sind da</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/intervalgrid.py" />
            <source>met no limit</source>
            <translation>traf auf keine Grenze</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/intervalgrid.py" />
            <source>held by a limit: only a bound</source>
            <translation>von einer Grenze gehalten: nur eine Schranke</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/intervalgrid.py" />
            <source>could not be finished</source>
            <translation>nicht zu Ende zu bringen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/intervalplot.py" />
            <source>Candidates with their mounts, means and intervals</source>
            <translation>Kandidaten mit ihren Montagen, Mitteln und Intervallen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/intervalplot.py" />
            <source>no comparison yet</source>
            <translation>noch kein Vergleich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/intervalplot.py" />
            <source>No mount can be read under this school.</source>
            <translation>Nach dieser Schule lässt sich keine Montage ablesen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/livetraces.py" />
            <source>Live traces</source>
            <translation>Live-Kurven</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/loopring.py" />
            <source>The loop is empty. Add its parts below, in the direction of flow.</source>
            <translation>Der Kreislauf ist leer. Seine Teile unten hinzufügen, in Flussrichtung.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/overlayplot.py" />
            <source>minutes of the run</source>
            <translation>Minuten des Laufs</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/overlayplot.py" />
            <source>Run and log over each other</source>
            <translation>Lauf und Log übereinander</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/padmap.py" />
            <source>Pads on the board</source>
            <translation>Pads auf dem Board</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/painted.py" />
            <source>this cannot be drawn</source>
            <translation>das lässt sich nicht zeichnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/pairchoice.py" />
            <source>{part} over {other}</source>
            <translation>{part} über {other}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/pairchoice.py" />
            <source>The temperature that is asked about</source>
            <translation>Die Temperatur, nach der gefragt ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/pairchoice.py" />
            <source>What its rise is taken over</source>
            <translation>Worüber ihr Anstieg genommen wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/pairchoice.py" />
            <source>over</source>
            <translation>über</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/rankings.py" />
            <source>Ranking under each school</source>
            <translation>Rangfolge nach jeder Schule</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/rankings.py" />
            <source>
(in use)</source>
            <translation>
(gilt)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/scatterbars.py" />
            <source>What the scatter is made of</source>
            <translation>Woraus die Streuung besteht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/screws.py" />
            <source>Tightening order, {pattern} screws</source>
            <translation>Reihenfolge beim Anziehen, {pattern} Schrauben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/screws.py" />
            <source>across each time: </source>
            <translation>jedes Mal über Kreuz: </translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/settingsline.py" />
            <source>power limit, driver …</source>
            <translation>Leistungsgrenze, Treiber …</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/soundpictures.py" />
            <source>Third octaves</source>
            <translation>Terzen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/soundpictures.py" />
            <source>third octaves, and a line for twelfths, {unit}</source>
            <translation>Terzen, und eine Linie für Zwölfteloktaven, {unit}</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/soundpictures.py" />
            <source>Hz</source>
            <translation>Hz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/soundpictures.py" />
            <source>How it sounded over time</source>
            <translation>Wie es mit der Zeit klang</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/soundpictures.py" />
            <source>Click to listen from there</source>
            <translation>Klick, um von dort zu hören</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/soundpictures.py" />
            <source>over time, Hz; the louder the stronger</source>
            <translation>über der Zeit, Hz; je lauter, desto kräftiger</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/soundpictures.py" />
            <source>{hz:.0f} Hz</source>
            <translation>{hz:.0f} Hz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/stageline.py" />
            <source>Stages of the run</source>
            <translation>Abschnitte des Laufs</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/staircase.py" />
            <source>Staircase from air to die</source>
            <translation>Treppe von der Luft zum Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/staircase.py" />
            <source>no steps known</source>
            <translation>keine Stufen bekannt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/staircase.py" />
            <source>The staircase needs an air and a coolant or die channel.</source>
            <translation>Die Treppe braucht einen Luft- und einen Kühlmittel- oder Chipkanal.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/staircase.py" />
            <source>largest step</source>
            <translation>größte Stufe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/traceplot.py" />
            <source>Traces of the run</source>
            <translation>Kurven des Laufs</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/traceplot.py" />
            <source>minutes from the first row</source>
            <translation>Minuten ab der ersten Zeile</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/traceplot.py" />
            <source>changed here</source>
            <translation>hier geändert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/workingpanel.py" />
            <source>‹ back</source>
            <translation>‹ zurück</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/workingpanel.py" />
            <source>close (Esc)</source>
            <translation>schließen (Esc)</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/workingpanel.py" />
            <source>Working</source>
            <translation>Rechenweg</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/workingpanel.py" />
            <source>Copy as text</source>
            <translation>Als Text kopieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/worthplot.py" />
            <source>Price against temperature</source>
            <translation>Preis gegen Temperatur</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/app/widgets/worthplot.py" />
            <source>{unit}, lower is cooler</source>
            <translation>{unit}, tiefer ist kühler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>hot spot</source>
            <translation>Hotspot</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>memory</source>
            <translation>Speicher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>regulator</source>
            <translation>Spannungsregler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>regulators</source>
            <translation>Spannungsregler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>chipset</source>
            <translation>Chipsatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>storage</source>
            <translation>Laufwerk</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>backplate</source>
            <translation>Rückplatte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>coolant into the block</source>
            <translation>Kühlmittel in den Block</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>coolant in</source>
            <translation>Kühlmittel hinein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>coolant out of the block</source>
            <translation>Kühlmittel aus dem Block</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>coolant out</source>
            <translation>Kühlmittel hinaus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>air at the radiator</source>
            <translation>Luft am Radiator</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>room</source>
            <translation>Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>power at the wall</source>
            <translation>Leistung an der Steckdose</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>sound</source>
            <translation>Schall</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>pressure</source>
            <translation>Druck</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>voltage</source>
            <translation>Spannung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>current</source>
            <translation>Strom</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>score</source>
            <translation>Punkte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/roles.py" />
            <source>leak sensor</source>
            <translation>Lecksensor</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>block</source>
            <translation>Block</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>The step from die to coolant is the block's: another block decides it.</source>
            <translation>Die Stufe vom Chip zum Kühlmittel ist die des Blocks: ein anderer Block entscheidet sie.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>radiator</source>
            <translation>Radiator</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>The step from coolant to air is the radiator's: another radiator decides it.</source>
            <translation>Die Stufe vom Kühlmittel zur Luft ist die des Radiators: ein anderer Radiator entscheidet sie.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Another pump gives another flow; blocks gain with flow, about 1 K for a doubling.</source>
            <translation>Eine andere Pumpe gibt anderen Durchfluss; Blöcke gewinnen mit dem Durchfluss, etwa 1 K für das Doppelte.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Other fans move another amount of air: several kelvins from coolant to air, and another sound.</source>
            <translation>Andere Lüfter bewegen andere Luftmengen: mehrere Kelvin vom Kühlmittel zur Luft, und ein anderer Klang.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>More glycol carries less heat and flows less: up to about 1 K at the die.</source>
            <translation>Mehr Glykol trägt weniger Wärme und fließt weniger: bis zu etwa 1 K am Chip.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>paste</source>
            <translation>Paste</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Another paste shifts the step from die to coolant by up to some kelvins.</source>
            <translation>Eine andere Paste verschiebt die Stufe vom Chip zum Kühlmittel um bis zu einige Kelvin.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>A backplate spreads the pull, and carries heat from behind: with and without are two things.</source>
            <translation>Eine Rückplatte verteilt den Zug und führt hinten Wärme ab: mit und ohne ist zweierlei.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>pads</source>
            <translation>Pads</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Other pads change memory and regulators, and may lift the block off the die.</source>
            <translation>Andere Pads ändern Speicher und Regler und können den Block vom Chip heben.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>fittings</source>
            <translation>Verschraubungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Narrow fittings and tight bends lower the flow.</source>
            <translation>Enge Verschraubungen und scharfe Bögen senken den Durchfluss.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>adapter</source>
            <translation>Adapter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>An adapter is one more place that can leak, and narrows the way.</source>
            <translation>Ein Adapter ist eine weitere Stelle, die lecken kann, und verengt den Weg.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>fan screws</source>
            <translation>Lüfterschrauben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Screws that are too long pierce the radiator’s core.</source>
            <translation>Zu lange Schrauben durchstoßen das Netz des Radiators.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>case</source>
            <translation>Gehäuse</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Another case brings other air to the radiator: several kelvins.</source>
            <translation>Ein anderes Gehäuse bringt andere Luft an den Radiator: mehrere Kelvin.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>board</source>
            <translation>Board</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Another board sets other limits and voltages: the processor makes another heat.</source>
            <translation>Ein anderes Board setzt andere Grenzen und Spannungen: der Prozessor macht andere Wärme.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Other memory is other heat beside the block.</source>
            <translation>Anderer Speicher ist andere Wärme neben dem Block.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Another load heats other places of the die.</source>
            <translation>Eine andere Last heizt andere Stellen des Chips.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Rises grow in step with power: 5 % more power is 5 % more rise. “Per watt” takes that out.</source>
            <translation>Anstiege wachsen mit der Leistung: 5 % mehr Leistung sind 5 % mehr Anstieg. „Je Watt“ nimmt das heraus.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>power limit</source>
            <translation>Leistungsgrenze</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>A higher limit lets the part draw more; where a limit holds it back, its temperature says little of the cooler.</source>
            <translation>Eine höhere Grenze lässt das Teil mehr ziehen; wo eine Grenze es hält, sagt seine Temperatur wenig über den Kühler.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Another clock makes another power, and another score.</source>
            <translation>Ein anderer Takt macht andere Leistung und andere Punkte.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>clock limit</source>
            <translation>Taktgrenze</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Another limit of the clock: power, score and temperature differ with it.</source>
            <translation>Eine andere Grenze des Takts: Leistung, Punkte und Temperatur ändern sich mit.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>More voltage makes more heat at the same clock.</source>
            <translation>Mehr Spannung macht mehr Wärme bei gleichem Takt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/flow/curvekinds.py" />
            <source>pump speed</source>
            <translation>Pumpendrehzahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Another pump speed gives another flow; compare blocks at the same flow.</source>
            <translation>Eine andere Pumpendrehzahl gibt anderen Durchfluss; Blöcke bei gleichem Durchfluss vergleichen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>fan speed</source>
            <translation>Lüfterdrehzahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Another fan speed changes coolant over air at once: several kelvins.</source>
            <translation>Eine andere Lüfterdrehzahl ändert Kühlmittel über Luft sofort: mehrere Kelvin.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>firmware</source>
            <translation>Firmware</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Firmware sets limits, voltages and fan curves: with another one it may be another part.</source>
            <translation>Firmware setzt Grenzen, Spannungen und Lüfterkurven: mit einer anderen kann es ein anderes Teil sein.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>driver</source>
            <translation>Treiber</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Another driver can load the part otherwise: power and clock move with it.</source>
            <translation>Ein anderer Treiber kann das Teil anders belasten: Leistung und Takt wandern mit.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>orientation</source>
            <translation>Lage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>A radiator or block the other way up may hold air.</source>
            <translation>Ein Radiator oder Block, der anders herum sitzt, kann Luft halten.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>lying</source>
            <translation>liegend</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>standing, ports up</source>
            <translation>stehend, Anschlüsse oben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>standing, ports down</source>
            <translation>stehend, Anschlüsse unten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>on its side</source>
            <translation>auf der Seite</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>hanging</source>
            <translation>hängend</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>ports</source>
            <translation>Anschlüsse</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Which ports are used decides how the flow crosses the part.</source>
            <translation>Welche Anschlüsse benutzt werden, entscheidet, wie der Strom das Teil durchquert.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>turned by</source>
            <translation>gedreht um</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>angle it is turned by</source>
            <translation>Winkel, um den es gedreht ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>A part that is turned lies otherwise over the hot places: commonly some tenths of a kelvin.</source>
            <translation>Ein gedrehtes Teil liegt anders über den heißen Stellen: gewöhnlich einige Zehntel Kelvin.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>state</source>
            <translation>Zustand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>As bought, repaired, cleaned, lapped: by now it may be another part.</source>
            <translation>Wie gekauft, repariert, gereinigt, geläppt: inzwischen kann es ein anderes Teil sein.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>flow direction</source>
            <translation>Flussrichtung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Most blocks are made for one direction; the other one can cost some kelvins.</source>
            <translation>Die meisten Blöcke sind für eine Richtung gemacht; die andere kann einige Kelvin kosten.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>as marked</source>
            <translation>wie markiert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>against the mark</source>
            <translation>gegen die Markierung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>not marked</source>
            <translation>nicht markiert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>tightening</source>
            <translation>Anziehen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>An uneven pull tilts the block: part of the die loses contact.</source>
            <translation>Ein ungleicher Zug verkippt den Block: ein Teil des Chips verliert den Kontakt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>crosswise, in turns</source>
            <translation>über Kreuz, reihum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>one after the other</source>
            <translation>eine nach der anderen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>springs to the stop</source>
            <translation>Federn bis zum Anschlag</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>screws</source>
            <translation>Schrauben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Longer screws or other springs pull otherwise: commonly some tenths of a kelvin.</source>
            <translation>Längere Schrauben oder andere Federn ziehen anders: gewöhnlich einige Zehntel Kelvin.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>torque</source>
            <translation>Drehmoment</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>More pull thins the paste: commonly some tenths of a kelvin.</source>
            <translation>Mehr Zug macht die Paste dünner: gewöhnlich einige Zehntel Kelvin.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>paste amount</source>
            <translation>Pastenmenge</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Too little leaves bare places; too much costs little.</source>
            <translation>Zu wenig lässt Stellen frei; zu viel kostet wenig.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>way of spreading</source>
            <translation>Art des Auftragens</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>The way of spreading decides where air is shut in.</source>
            <translation>Die Art des Auftragens entscheidet, wo Luft eingeschlossen wird.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>dot</source>
            <translation>Punkt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>line</source>
            <translation>Linie</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>cross</source>
            <translation>Kreuz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>several dots</source>
            <translation>mehrere Punkte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>spread flat</source>
            <translation>glattgestrichen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>sheet</source>
            <translation>Folie</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>pads, where and how thick</source>
            <translation>Pads, wo und wie dick</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>place and thickness of the pads</source>
            <translation>Ort und Dicke der Pads</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>Thicker pads can hold the block off the die.</source>
            <translation>Dickere Pads können den Block vom Chip halten.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>fans, how many and which side</source>
            <translation>Lüfter, wie viele und welche Seite</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>number and side of the fans</source>
            <translation>Zahl und Seite der Lüfter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/configuration.py" />
            <source>One fan more, or pulling instead of pushing, changes the air through the core.</source>
            <translation>Ein Lüfter mehr, oder saugend statt drückend, ändert die Luft durch das Netz.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>clock held</source>
            <translation>gehaltener Takt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>power of the part</source>
            <translation>Leistung des Teils</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>energy of the load</source>
            <translation>Energie der Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>loudness</source>
            <translation>Lautstärke</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>hot spot over die</source>
            <translation>Hotspot über Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>hottest core over coolant</source>
            <translation>heißester Kern über Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>hottest core over coolest</source>
            <translation>heißester Kern über kühlstem</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>die over coolant, exceeded 1 % of the time</source>
            <translation>Chip über Kühlmittel, 1 % der Zeit überschritten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>power held at the limit</source>
            <translation>an der Grenze gehaltene Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>time until the limit</source>
            <translation>Zeit bis zur Grenze</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>power at idle</source>
            <translation>Leistung im Leerlauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>die over coolant at idle</source>
            <translation>Chip über Kühlmittel im Leerlauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>frame rate, average</source>
            <translation>Bildrate, Mittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>1 % low: rate at the 99th percentile of frame times</source>
            <translation>1 % low: Rate am 99. Perzentil der Bildzeiten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/outcomes.py" />
            <source>1 % low: average rate of the slowest 1 % of frames</source>
            <translation>1 % low: mittlere Rate der langsamsten 1 % der Bilder</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant as read</source>
            <translation>Kühlmittel wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>never for comparing; it shows what would have been said</source>
            <translation>nie zum Vergleichen; es zeigt, was sonst gesagt worden wäre</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over air</source>
            <translation>Kühlmittel über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>the room</source>
            <translation>den Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>the whole loop or a radiator, with the same power everywhere</source>
            <translation>den ganzen Kreislauf oder einen Radiator, mit überall gleicher Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant re-based</source>
            <translation>Kühlmittel umgerechnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>the room; reads as a temperature in a room of its own</source>
            <translation>den Raum; liest sich wie eine Temperatur in einem eigenen Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over air, per watt</source>
            <translation>Kühlmittel über Luft, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>the room and the power</source>
            <translation>den Raum und die Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>power differs between candidates, or drifts</source>
            <translation>Leistung, die zwischen Kandidaten verschieden ist oder driftet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over air, whole trace</source>
            <translation>Kühlmittel über Luft, ganze Kurve</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>power, and what moved during the run</source>
            <translation>die Leistung, und was sich im Lauf bewegt hat</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>the room moved, or the run was stopped early</source>
            <translation>einen Raum, der sich bewegt hat, oder einen zu früh angehaltenen Lauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die as read</source>
            <translation>Chip wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over air</source>
            <translation>Chip über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die re-based</source>
            <translation>Chip umgerechnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over air, per watt</source>
            <translation>Chip über Luft, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over air, whole trace</source>
            <translation>Chip über Luft, ganze Kurve</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over coolant, whole trace</source>
            <translation>Chip über Kühlmittel, ganze Kurve</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over coolant</source>
            <translation>Chip über Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>room, radiator and fans</source>
            <translation>Raum, Radiator und Lüfter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>blocks, pastes and pads at the same power</source>
            <translation>Blöcke, Pasten und Pads bei gleicher Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over coolant, per watt</source>
            <translation>Chip über Kühlmittel, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>room, radiator, fans and power</source>
            <translation>Raum, Radiator, Lüfter und Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>blocks, pastes and pads</source>
            <translation>Blöcke, Pasten und Pads</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate as read</source>
            <translation>Rückplatte wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over air</source>
            <translation>Rückplatte über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate re-based</source>
            <translation>Rückplatte umgerechnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over air, per watt</source>
            <translation>Rückplatte über Luft, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over coolant</source>
            <translation>Rückplatte über Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over coolant, per watt</source>
            <translation>Rückplatte über Kühlmittel, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset as read</source>
            <translation>Chipsatz wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over air</source>
            <translation>Chipsatz über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset re-based</source>
            <translation>Chipsatz umgerechnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over air, per watt</source>
            <translation>Chipsatz über Luft, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over coolant</source>
            <translation>Chipsatz über Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over coolant, per watt</source>
            <translation>Chipsatz über Kühlmittel, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators as read</source>
            <translation>Spannungsregler wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over air</source>
            <translation>Spannungsregler über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators re-based</source>
            <translation>Spannungsregler umgerechnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over air, per watt</source>
            <translation>Spannungsregler über Luft, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over coolant</source>
            <translation>Spannungsregler über Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over coolant, per watt</source>
            <translation>Spannungsregler über Kühlmittel, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory as read</source>
            <translation>Speicher wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over air</source>
            <translation>Speicher über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory re-based</source>
            <translation>Speicher umgerechnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over air, per watt</source>
            <translation>Speicher über Luft, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over coolant</source>
            <translation>Speicher über Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over coolant, per watt</source>
            <translation>Speicher über Kühlmittel, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot as read</source>
            <translation>Hotspot wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over air</source>
            <translation>Hotspot über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot re-based</source>
            <translation>Hotspot umgerechnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over air, per watt</source>
            <translation>Hotspot über Luft, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over coolant</source>
            <translation>Hotspot über Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over coolant, per watt</source>
            <translation>Hotspot über Kühlmittel, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage as read</source>
            <translation>Laufwerk wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over air</source>
            <translation>Laufwerk über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage re-based</source>
            <translation>Laufwerk umgerechnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over air, per watt</source>
            <translation>Laufwerk über Luft, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over coolant</source>
            <translation>Laufwerk über Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over coolant, per watt</source>
            <translation>Laufwerk über Kühlmittel, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in as read</source>
            <translation>Kühlmittel hinein wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over air</source>
            <translation>Kühlmittel hinein über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in re-based</source>
            <translation>Kühlmittel hinein umgerechnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over air, per watt</source>
            <translation>Kühlmittel hinein über Luft, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over coolant</source>
            <translation>Kühlmittel hinein über Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over coolant, per watt</source>
            <translation>Kühlmittel hinein über Kühlmittel, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out as read</source>
            <translation>Kühlmittel hinaus wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over air</source>
            <translation>Kühlmittel hinaus über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out re-based</source>
            <translation>Kühlmittel hinaus umgerechnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over air, per watt</source>
            <translation>Kühlmittel hinaus über Luft, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over coolant</source>
            <translation>Kühlmittel hinaus über Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over coolant, per watt</source>
            <translation>Kühlmittel hinaus über Kühlmittel, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air as read</source>
            <translation>Luft wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over air</source>
            <translation>Luft über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air re-based</source>
            <translation>Luft umgerechnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over air, per watt</source>
            <translation>Luft über Luft, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over coolant</source>
            <translation>Luft über Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over coolant, per watt</source>
            <translation>Luft über Kühlmittel, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room as read</source>
            <translation>Raum wie gelesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over air</source>
            <translation>Raum über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room re-based</source>
            <translation>Raum umgerechnet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over air, per watt</source>
            <translation>Raum über Luft, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over coolant</source>
            <translation>Raum über Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over coolant, per watt</source>
            <translation>Raum über Kühlmittel, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over die</source>
            <translation>Kühlmittel über Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the die</source>
            <translation>was den Chip bewegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>it is that difference which is asked about</source>
            <translation>eben jener Unterschied, nach dem gefragt ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over die, per watt</source>
            <translation>Kühlmittel über Chip, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the die, and the power</source>
            <translation>was den Chip bewegt, und die Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over hot spot</source>
            <translation>Kühlmittel über Hotspot</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the hot spot</source>
            <translation>was den Hotspot bewegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over hot spot, per watt</source>
            <translation>Kühlmittel über Hotspot, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the hot spot, and the power</source>
            <translation>was den Hotspot bewegt, und die Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over memory</source>
            <translation>Kühlmittel über Speicher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the memory</source>
            <translation>was den Speicher bewegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over memory, per watt</source>
            <translation>Kühlmittel über Speicher, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the memory, and the power</source>
            <translation>was den Speicher bewegt, und die Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over regulators</source>
            <translation>Kühlmittel über Spannungsregler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the regulators</source>
            <translation>was die Spannungsregler bewegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over regulators, per watt</source>
            <translation>Kühlmittel über Spannungsregler, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the regulators, and the power</source>
            <translation>was die Spannungsregler bewegt, und die Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over chipset</source>
            <translation>Kühlmittel über Chipsatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the chipset</source>
            <translation>was den Chipsatz bewegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over chipset, per watt</source>
            <translation>Kühlmittel über Chipsatz, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the chipset, and the power</source>
            <translation>was den Chipsatz bewegt, und die Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over storage</source>
            <translation>Kühlmittel über Laufwerk</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the storage</source>
            <translation>was das Laufwerk bewegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over storage, per watt</source>
            <translation>Kühlmittel über Laufwerk, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the storage, and the power</source>
            <translation>was das Laufwerk bewegt, und die Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over backplate</source>
            <translation>Kühlmittel über Rückplatte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the backplate</source>
            <translation>was die Rückplatte bewegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over backplate, per watt</source>
            <translation>Kühlmittel über Rückplatte, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the backplate, and the power</source>
            <translation>was die Rückplatte bewegt, und die Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over coolant in</source>
            <translation>Kühlmittel über Kühlmittel hinein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the coolant in</source>
            <translation>was das Kühlmittel am Einlass bewegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over coolant in, per watt</source>
            <translation>Kühlmittel über Kühlmittel hinein, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the coolant in, and the power</source>
            <translation>was das Kühlmittel am Einlass bewegt, und die Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over coolant out</source>
            <translation>Kühlmittel über Kühlmittel hinaus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the coolant out</source>
            <translation>was das Kühlmittel am Auslass bewegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over coolant out, per watt</source>
            <translation>Kühlmittel über Kühlmittel hinaus, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the coolant out, and the power</source>
            <translation>was das Kühlmittel am Auslass bewegt, und die Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the air</source>
            <translation>was die Luft bewegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the air, and the power</source>
            <translation>was die Luft bewegt, und die Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over room</source>
            <translation>Kühlmittel über Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the room</source>
            <translation>was den Raum bewegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant over room, per watt</source>
            <translation>Kühlmittel über Raum, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>what moves the room, and the power</source>
            <translation>was den Raum bewegt, und die Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over hot spot</source>
            <translation>Chip über Hotspot</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over hot spot, per watt</source>
            <translation>Chip über Hotspot, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over memory</source>
            <translation>Chip über Speicher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over memory, per watt</source>
            <translation>Chip über Speicher, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over regulators</source>
            <translation>Chip über Spannungsregler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over regulators, per watt</source>
            <translation>Chip über Spannungsregler, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over chipset</source>
            <translation>Chip über Chipsatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over chipset, per watt</source>
            <translation>Chip über Chipsatz, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over storage</source>
            <translation>Chip über Laufwerk</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over storage, per watt</source>
            <translation>Chip über Laufwerk, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over backplate</source>
            <translation>Chip über Rückplatte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over backplate, per watt</source>
            <translation>Chip über Rückplatte, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over coolant in</source>
            <translation>Chip über Kühlmittel hinein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over coolant in, per watt</source>
            <translation>Chip über Kühlmittel hinein, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over coolant out</source>
            <translation>Chip über Kühlmittel hinaus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over coolant out, per watt</source>
            <translation>Chip über Kühlmittel hinaus, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over room</source>
            <translation>Chip über Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Die over room, per watt</source>
            <translation>Chip über Raum, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over die</source>
            <translation>Rückplatte über Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over die, per watt</source>
            <translation>Rückplatte über Chip, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over hot spot</source>
            <translation>Rückplatte über Hotspot</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over hot spot, per watt</source>
            <translation>Rückplatte über Hotspot, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over memory</source>
            <translation>Rückplatte über Speicher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over memory, per watt</source>
            <translation>Rückplatte über Speicher, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over regulators</source>
            <translation>Rückplatte über Spannungsregler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over regulators, per watt</source>
            <translation>Rückplatte über Spannungsregler, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over chipset</source>
            <translation>Rückplatte über Chipsatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over chipset, per watt</source>
            <translation>Rückplatte über Chipsatz, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over storage</source>
            <translation>Rückplatte über Laufwerk</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over storage, per watt</source>
            <translation>Rückplatte über Laufwerk, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over coolant in</source>
            <translation>Rückplatte über Kühlmittel hinein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over coolant in, per watt</source>
            <translation>Rückplatte über Kühlmittel hinein, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over coolant out</source>
            <translation>Rückplatte über Kühlmittel hinaus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over coolant out, per watt</source>
            <translation>Rückplatte über Kühlmittel hinaus, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over room</source>
            <translation>Rückplatte über Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Backplate over room, per watt</source>
            <translation>Rückplatte über Raum, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over die</source>
            <translation>Chipsatz über Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over die, per watt</source>
            <translation>Chipsatz über Chip, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over hot spot</source>
            <translation>Chipsatz über Hotspot</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over hot spot, per watt</source>
            <translation>Chipsatz über Hotspot, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over memory</source>
            <translation>Chipsatz über Speicher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over memory, per watt</source>
            <translation>Chipsatz über Speicher, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over regulators</source>
            <translation>Chipsatz über Spannungsregler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over regulators, per watt</source>
            <translation>Chipsatz über Spannungsregler, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over storage</source>
            <translation>Chipsatz über Laufwerk</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over storage, per watt</source>
            <translation>Chipsatz über Laufwerk, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over backplate</source>
            <translation>Chipsatz über Rückplatte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over backplate, per watt</source>
            <translation>Chipsatz über Rückplatte, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over coolant in</source>
            <translation>Chipsatz über Kühlmittel hinein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over coolant in, per watt</source>
            <translation>Chipsatz über Kühlmittel hinein, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over coolant out</source>
            <translation>Chipsatz über Kühlmittel hinaus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over coolant out, per watt</source>
            <translation>Chipsatz über Kühlmittel hinaus, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over room</source>
            <translation>Chipsatz über Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Chipset over room, per watt</source>
            <translation>Chipsatz über Raum, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over die</source>
            <translation>Spannungsregler über Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over die, per watt</source>
            <translation>Spannungsregler über Chip, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over hot spot</source>
            <translation>Spannungsregler über Hotspot</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over hot spot, per watt</source>
            <translation>Spannungsregler über Hotspot, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over memory</source>
            <translation>Spannungsregler über Speicher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over memory, per watt</source>
            <translation>Spannungsregler über Speicher, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over chipset</source>
            <translation>Spannungsregler über Chipsatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over chipset, per watt</source>
            <translation>Spannungsregler über Chipsatz, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over storage</source>
            <translation>Spannungsregler über Laufwerk</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over storage, per watt</source>
            <translation>Spannungsregler über Laufwerk, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over backplate</source>
            <translation>Spannungsregler über Rückplatte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over backplate, per watt</source>
            <translation>Spannungsregler über Rückplatte, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over coolant in</source>
            <translation>Spannungsregler über Kühlmittel hinein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over coolant in, per watt</source>
            <translation>Spannungsregler über Kühlmittel hinein, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over coolant out</source>
            <translation>Spannungsregler über Kühlmittel hinaus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over coolant out, per watt</source>
            <translation>Spannungsregler über Kühlmittel hinaus, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over room</source>
            <translation>Spannungsregler über Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Regulators over room, per watt</source>
            <translation>Spannungsregler über Raum, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over die</source>
            <translation>Speicher über Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over die, per watt</source>
            <translation>Speicher über Chip, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over hot spot</source>
            <translation>Speicher über Hotspot</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over hot spot, per watt</source>
            <translation>Speicher über Hotspot, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over regulators</source>
            <translation>Speicher über Spannungsregler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over regulators, per watt</source>
            <translation>Speicher über Spannungsregler, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over chipset</source>
            <translation>Speicher über Chipsatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over chipset, per watt</source>
            <translation>Speicher über Chipsatz, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over storage</source>
            <translation>Speicher über Laufwerk</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over storage, per watt</source>
            <translation>Speicher über Laufwerk, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over backplate</source>
            <translation>Speicher über Rückplatte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over backplate, per watt</source>
            <translation>Speicher über Rückplatte, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over coolant in</source>
            <translation>Speicher über Kühlmittel hinein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over coolant in, per watt</source>
            <translation>Speicher über Kühlmittel hinein, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over coolant out</source>
            <translation>Speicher über Kühlmittel hinaus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over coolant out, per watt</source>
            <translation>Speicher über Kühlmittel hinaus, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over room</source>
            <translation>Speicher über Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Memory over room, per watt</source>
            <translation>Speicher über Raum, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over die</source>
            <translation>Hotspot über Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over die, per watt</source>
            <translation>Hotspot über Chip, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over memory</source>
            <translation>Hotspot über Speicher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over memory, per watt</source>
            <translation>Hotspot über Speicher, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over regulators</source>
            <translation>Hotspot über Spannungsregler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over regulators, per watt</source>
            <translation>Hotspot über Spannungsregler, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over chipset</source>
            <translation>Hotspot über Chipsatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over chipset, per watt</source>
            <translation>Hotspot über Chipsatz, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over storage</source>
            <translation>Hotspot über Laufwerk</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over storage, per watt</source>
            <translation>Hotspot über Laufwerk, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over backplate</source>
            <translation>Hotspot über Rückplatte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over backplate, per watt</source>
            <translation>Hotspot über Rückplatte, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over coolant in</source>
            <translation>Hotspot über Kühlmittel hinein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over coolant in, per watt</source>
            <translation>Hotspot über Kühlmittel hinein, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over coolant out</source>
            <translation>Hotspot über Kühlmittel hinaus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over coolant out, per watt</source>
            <translation>Hotspot über Kühlmittel hinaus, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over room</source>
            <translation>Hotspot über Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Hot spot over room, per watt</source>
            <translation>Hotspot über Raum, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over die</source>
            <translation>Laufwerk über Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over die, per watt</source>
            <translation>Laufwerk über Chip, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over hot spot</source>
            <translation>Laufwerk über Hotspot</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over hot spot, per watt</source>
            <translation>Laufwerk über Hotspot, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over memory</source>
            <translation>Laufwerk über Speicher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over memory, per watt</source>
            <translation>Laufwerk über Speicher, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over regulators</source>
            <translation>Laufwerk über Spannungsregler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over regulators, per watt</source>
            <translation>Laufwerk über Spannungsregler, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over chipset</source>
            <translation>Laufwerk über Chipsatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over chipset, per watt</source>
            <translation>Laufwerk über Chipsatz, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over backplate</source>
            <translation>Laufwerk über Rückplatte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over backplate, per watt</source>
            <translation>Laufwerk über Rückplatte, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over coolant in</source>
            <translation>Laufwerk über Kühlmittel hinein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over coolant in, per watt</source>
            <translation>Laufwerk über Kühlmittel hinein, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over coolant out</source>
            <translation>Laufwerk über Kühlmittel hinaus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over coolant out, per watt</source>
            <translation>Laufwerk über Kühlmittel hinaus, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over room</source>
            <translation>Laufwerk über Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Storage over room, per watt</source>
            <translation>Laufwerk über Raum, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over die</source>
            <translation>Kühlmittel hinein über Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over die, per watt</source>
            <translation>Kühlmittel hinein über Chip, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over hot spot</source>
            <translation>Kühlmittel hinein über Hotspot</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over hot spot, per watt</source>
            <translation>Kühlmittel hinein über Hotspot, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over memory</source>
            <translation>Kühlmittel hinein über Speicher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over memory, per watt</source>
            <translation>Kühlmittel hinein über Speicher, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over regulators</source>
            <translation>Kühlmittel hinein über Spannungsregler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over regulators, per watt</source>
            <translation>Kühlmittel hinein über Spannungsregler, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over chipset</source>
            <translation>Kühlmittel hinein über Chipsatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over chipset, per watt</source>
            <translation>Kühlmittel hinein über Chipsatz, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over storage</source>
            <translation>Kühlmittel hinein über Laufwerk</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over storage, per watt</source>
            <translation>Kühlmittel hinein über Laufwerk, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over backplate</source>
            <translation>Kühlmittel hinein über Rückplatte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over backplate, per watt</source>
            <translation>Kühlmittel hinein über Rückplatte, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over coolant out</source>
            <translation>Kühlmittel hinein über Kühlmittel hinaus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over coolant out, per watt</source>
            <translation>Kühlmittel hinein über Kühlmittel hinaus, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over room</source>
            <translation>Kühlmittel hinein über Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant in over room, per watt</source>
            <translation>Kühlmittel hinein über Raum, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over die</source>
            <translation>Kühlmittel hinaus über Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over die, per watt</source>
            <translation>Kühlmittel hinaus über Chip, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over hot spot</source>
            <translation>Kühlmittel hinaus über Hotspot</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over hot spot, per watt</source>
            <translation>Kühlmittel hinaus über Hotspot, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over memory</source>
            <translation>Kühlmittel hinaus über Speicher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over memory, per watt</source>
            <translation>Kühlmittel hinaus über Speicher, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over regulators</source>
            <translation>Kühlmittel hinaus über Spannungsregler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over regulators, per watt</source>
            <translation>Kühlmittel hinaus über Spannungsregler, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over chipset</source>
            <translation>Kühlmittel hinaus über Chipsatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over chipset, per watt</source>
            <translation>Kühlmittel hinaus über Chipsatz, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over storage</source>
            <translation>Kühlmittel hinaus über Laufwerk</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over storage, per watt</source>
            <translation>Kühlmittel hinaus über Laufwerk, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over backplate</source>
            <translation>Kühlmittel hinaus über Rückplatte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over backplate, per watt</source>
            <translation>Kühlmittel hinaus über Rückplatte, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over coolant in</source>
            <translation>Kühlmittel hinaus über Kühlmittel hinein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over coolant in, per watt</source>
            <translation>Kühlmittel hinaus über Kühlmittel hinein, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over room</source>
            <translation>Kühlmittel hinaus über Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Coolant out over room, per watt</source>
            <translation>Kühlmittel hinaus über Raum, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over die</source>
            <translation>Luft über Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over die, per watt</source>
            <translation>Luft über Chip, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over hot spot</source>
            <translation>Luft über Hotspot</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over hot spot, per watt</source>
            <translation>Luft über Hotspot, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over memory</source>
            <translation>Luft über Speicher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over memory, per watt</source>
            <translation>Luft über Speicher, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over regulators</source>
            <translation>Luft über Spannungsregler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over regulators, per watt</source>
            <translation>Luft über Spannungsregler, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over chipset</source>
            <translation>Luft über Chipsatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over chipset, per watt</source>
            <translation>Luft über Chipsatz, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over storage</source>
            <translation>Luft über Laufwerk</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over storage, per watt</source>
            <translation>Luft über Laufwerk, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over backplate</source>
            <translation>Luft über Rückplatte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over backplate, per watt</source>
            <translation>Luft über Rückplatte, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over coolant in</source>
            <translation>Luft über Kühlmittel hinein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over coolant in, per watt</source>
            <translation>Luft über Kühlmittel hinein, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over coolant out</source>
            <translation>Luft über Kühlmittel hinaus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over coolant out, per watt</source>
            <translation>Luft über Kühlmittel hinaus, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over room</source>
            <translation>Luft über Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Air over room, per watt</source>
            <translation>Luft über Raum, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over die</source>
            <translation>Raum über Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over die, per watt</source>
            <translation>Raum über Chip, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over hot spot</source>
            <translation>Raum über Hotspot</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over hot spot, per watt</source>
            <translation>Raum über Hotspot, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over memory</source>
            <translation>Raum über Speicher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over memory, per watt</source>
            <translation>Raum über Speicher, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over regulators</source>
            <translation>Raum über Spannungsregler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over regulators, per watt</source>
            <translation>Raum über Spannungsregler, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over chipset</source>
            <translation>Raum über Chipsatz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over chipset, per watt</source>
            <translation>Raum über Chipsatz, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over storage</source>
            <translation>Raum über Laufwerk</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over storage, per watt</source>
            <translation>Raum über Laufwerk, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over backplate</source>
            <translation>Raum über Rückplatte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over backplate, per watt</source>
            <translation>Raum über Rückplatte, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over coolant in</source>
            <translation>Raum über Kühlmittel hinein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over coolant in, per watt</source>
            <translation>Raum über Kühlmittel hinein, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over coolant out</source>
            <translation>Raum über Kühlmittel hinaus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/heat/normalise.py" />
            <source>Room over coolant out, per watt</source>
            <translation>Raum über Kühlmittel hinaus, je Watt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>radiators</source>
            <translation>Radiatoren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>fitted</source>
            <translation>eingebaut</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>water blocks</source>
            <translation>Wasserblöcke</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>mounted</source>
            <translation>montiert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>pastes</source>
            <translation>Pasten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>coolants</source>
            <translation>Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>filled</source>
            <translation>eingefüllt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>whole sets</source>
            <translation>ganze Sets</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>air coolers and heatsinks</source>
            <translation>Luftkühler und Kühlkörper</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>pumps</source>
            <translation>Pumpen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>backplates</source>
            <translation>Rückplatten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>chipset blocks</source>
            <translation>Chipsatzblöcke</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>regulator blocks</source>
            <translation>Reglerblöcke</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>memory coolers</source>
            <translation>Speicherkühler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/undertest.py" />
            <source>anything else</source>
            <translation>etwas anderes</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>processor block</source>
            <translation>Prozessorblock</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>processor blocks</source>
            <translation>Prozessorblöcke</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>card block</source>
            <translation>Kartenblock</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>card blocks</source>
            <translation>Kartenblöcke</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>reservoir</source>
            <translation>Ausgleichsbehälter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>reservoirs</source>
            <translation>Ausgleichsbehälter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>tube</source>
            <translation>Schlauch</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>tubes</source>
            <translation>Schläuche</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>fitting</source>
            <translation>Verschraubung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>adapters</source>
            <translation>Adapter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>cases</source>
            <translation>Gehäuse</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>boards</source>
            <translation>Boards</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>pad</source>
            <translation>Pad</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>air cooler</source>
            <translation>Luftkühler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>air coolers</source>
            <translation>Luftkühler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>chipset block</source>
            <translation>Chipsatzblock</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>regulator block</source>
            <translation>Reglerblock</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>memory cooler</source>
            <translation>Speicherkühler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>sensor</source>
            <translation>Sensor</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>sensors</source>
            <translation>Sensoren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>other part</source>
            <translation>anderes Teil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>other parts</source>
            <translation>andere Teile</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>weight, as weighed dry</source>
            <translation>Gewicht, trocken gewogen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>height over the board</source>
            <translation>Höhe über dem Board</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>clears memory up to</source>
            <translation>frei für Speicher bis</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>ports, middle to middle</source>
            <translation>Anschlüsse, Mitte zu Mitte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>its screws reach through at most</source>
            <translation>seine Schrauben ragen höchstens durch</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>volume inside</source>
            <translation>Innenvolumen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>threads</source>
            <translation>Gewinde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>G1/4</source>
            <translation>G1/4</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>G3/8</source>
            <translation>G3/8</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>wetted metals</source>
            <translation>benetzte Metalle</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>copper</source>
            <translation>Kupfer</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>brass</source>
            <translation>Messing</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>nickel plate</source>
            <translation>Nickelschicht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>chrome plate</source>
            <translation>Chromschicht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>aluminium</source>
            <translation>Aluminium</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>stainless steel</source>
            <translation>Edelstahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>silver</source>
            <translation>Silber</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>zinc</source>
            <translation>Zink</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>tin</source>
            <translation>Zinn</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>highest pressure its maker allows</source>
            <translation>höchster Druck, den der Hersteller erlaubt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>two</source>
            <translation>zwei</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>four</source>
            <translation>vier</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>four in a cross</source>
            <translation>vier im Kreuz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>six</source>
            <translation>sechs</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>eight</source>
            <translation>acht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>finish, as found</source>
            <translation>Verarbeitung, wie vorgefunden</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>defects</source>
            <translation>Mängel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>slots that the card takes with it</source>
            <translation>Steckplätze, die die Karte damit belegt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>its die stands higher than its pads' face by</source>
            <translation>ihr Chip steht höher als die Auflage ihrer Pads um</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>width</source>
            <translation>Breite</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>thickness</source>
            <translation>Dicke</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>ports, middle from its end</source>
            <translation>Anschlüsse, Mitte von seinem Ende</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>fan size</source>
            <translation>Lüftergröße</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>screw threads</source>
            <translation>Schraubgewinde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>M3</source>
            <translation>M3</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>M3.5</source>
            <translation>M3.5</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>M4</source>
            <translation>M4</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>UNC 6-32</source>
            <translation>UNC 6-32</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>depth from the flange to the core</source>
            <translation>Tiefe vom Flansch bis zum Netz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>fins</source>
            <translation>Lamellen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>current at full speed</source>
            <translation>Strom bei voller Drehzahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>plug</source>
            <translation>Stecker</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>3 pins</source>
            <translation>3 Stifte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>4 pins</source>
            <translation>4 Stifte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>drive plug</source>
            <translation>Laufwerksstecker</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>its own</source>
            <translation>eigener</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>highest speed</source>
            <translation>höchste Drehzahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>blades</source>
            <translation>Flügel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>inner diameter</source>
            <translation>Innendurchmesser</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>outer diameter</source>
            <translation>Außendurchmesser</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>height over the port</source>
            <translation>Höhe über dem Anschluss</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>widest diameter</source>
            <translation>größter Durchmesser</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>threads on the other side</source>
            <translation>Gewinde auf der anderen Seite</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>length under the head</source>
            <translation>Länge unter dem Kopf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>height of the head</source>
            <translation>Höhe des Kopfs</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>thread</source>
            <translation>Gewinde</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>room for a radiator, length</source>
            <translation>Platz für einen Radiator, Länge</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>taken over the radiator's ports, from its end</source>
            <translation>belegt über den Anschlüssen des Radiators, von seinem Ende</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>room for a radiator, width</source>
            <translation>Platz für einen Radiator, Breite</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>room for radiator and fans, depth</source>
            <translation>Platz für Radiator und Lüfter, Tiefe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>from the board to the side</source>
            <translation>vom Board bis zur Seite</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>room behind the board</source>
            <translation>Platz hinter dem Board</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>slots for a card</source>
            <translation>Steckplätze für eine Karte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>current of a fan header</source>
            <translation>Strom eines Lüfteranschlusses</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>current of the pump header</source>
            <translation>Strom des Pumpenanschlusses</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>fan headers take</source>
            <translation>Lüfteranschlüsse nehmen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>the pump header takes</source>
            <translation>der Pumpenanschluss nimmt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>height</source>
            <translation>Höhe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>sort</source>
            <translation>Sorte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>ready mixed</source>
            <translation>fertig gemischt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>concentrate</source>
            <translation>Konzentrat</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>plain water</source>
            <translation>reines Wasser</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>concentrate in the mix, by volume</source>
            <translation>Konzentrat in der Mischung, nach Volumen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>glycol in the mix, by mass</source>
            <translation>Glykol in der Mischung, nach Masse</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>glycol in it</source>
            <translation>Glykol darin</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>ethylene glycol</source>
            <translation>Ethylenglykol</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>propylene glycol</source>
            <translation>Propylenglykol</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>unknown</source>
            <translation>unbekannt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>ordinary</source>
            <translation>gewöhnlich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>electrically conductive</source>
            <translation>elektrisch leitend</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>liquid metal</source>
            <translation>Flüssigmetall</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>conductivity, as claimed</source>
            <translation>Wärmeleitfähigkeit, wie angegeben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>time to settle after mounting</source>
            <translation>Zeit zum Setzen nach dem Montieren</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>squeeze, at least</source>
            <translation>Pressung, mindestens</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>squeeze, at most</source>
            <translation>Pressung, höchstens</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/parts.py" />
            <source>measures</source>
            <translation>misst</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Cannot be judged</source>
            <translation>Nicht zu beurteilen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a channel has the wrong role</source>
            <translation>ein Kanal hat die falsche Rolle</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a channel is missing</source>
            <translation>ein Kanal fehlt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the log is too short</source>
            <translation>das Log ist zu kurz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Look at the roles under Channels; everything that can still be told is told.</source>
            <translation>Nach den Rollen unter „Kanäle“ sehen; alles, was sich noch sagen lässt, wird gesagt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Not settled</source>
            <translation>Nicht eingeschwungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the run was stopped early</source>
            <translation>der Lauf wurde zu früh angehalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the loop is slower than was thought</source>
            <translation>der Kreislauf ist langsamer als gedacht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the room moved all the time</source>
            <translation>der Raum bewegte sich die ganze Zeit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Run it again for longer, or accept the level it points to with its wider interval.</source>
            <translation>Noch einmal länger laufen lassen, oder die Höhe, der er zustrebt, mit ihrem breiteren Intervall gelten lassen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the window's mean is short of the level</source>
            <translation>das Mittel des Fensters bleibt hinter der Höhe zurück</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Drift not bounded</source>
            <translation>Drift nicht eingegrenzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a coarse or noisy sensor</source>
            <translation>ein grober oder rauschender Sensor</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a window that is a few minutes too short</source>
            <translation>ein Fenster, das ein paar Minuten zu kurz ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>A few minutes more would have shown that it settled; the level itself is known.</source>
            <translation>Ein paar Minuten mehr hätten gezeigt, dass er eingeschwungen ist; die Höhe selbst ist bekannt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Something changed in the run</source>
            <translation>Im Lauf hat sich etwas geändert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a fan or pump was set otherwise</source>
            <translation>ein Lüfter oder eine Pumpe wurde anders gestellt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>air moved in the loop</source>
            <translation>Luft wanderte im Kreislauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>paste gave way</source>
            <translation>die Paste gab nach</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Look at the marks and at flow, pump and fans at that moment; the reading is from after it.</source>
            <translation>Nach den Marken sehen, und nach Durchfluss, Pumpe und Lüftern in jenem Augenblick; die Ablesung ist von danach.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Die over coolant creeps</source>
            <translation>Chip über Kühlmittel kriecht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>paste pumping out from under the die</source>
            <translation>Paste, die unter dem Chip herausgepumpt wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a block that settles on its pads</source>
            <translation>ein Block, der sich auf seinen Pads setzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a sensor that drifts</source>
            <translation>ein Sensor, der driftet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Open it up and look at the print; mount it again, and wait for the same number of warm-ups in each mount.</source>
            <translation>Öffnen und den Abdruck ansehen; neu montieren und bei jeder Montage gleich viele Aufwärmungen abwarten.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>no single moment is the reading</source>
            <translation>kein einzelner Augenblick ist die Ablesung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Which plateau this is</source>
            <translation>Welches Plateau das ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the log begins under load or at rest</source>
            <translation>das Log beginnt unter Last oder in Ruhe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the load was ended and begun again</source>
            <translation>die Last wurde beendet und wieder begonnen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>fans or pump switch by temperature</source>
            <translation>Lüfter oder Pumpe schalten nach Temperatur</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Look at the trace and at the window; drag it to another plateau where that is the one you mean.</source>
            <translation>Kurve und Fenster ansehen; das Fenster auf ein anderes Plateau ziehen, wenn jenes gemeint ist.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Hot start</source>
            <translation>Heißer Start</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the loop had not cooled down from the run before</source>
            <translation>der Kreislauf war vom Lauf davor nicht abgekühlt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>idle was cut short</source>
            <translation>der Leerlauf wurde verkürzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Let it cool for two or three time constants; a settled run is not spoilt by it.</source>
            <translation>Zwei oder drei Zeitkonstanten abkühlen lassen; ein eingeschwungener Lauf ist dadurch nicht verdorben.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>The window cuts the load's passes</source>
            <translation>Das Fenster schneidet die Durchgänge der Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the window was set by hand or by the clock</source>
            <translation>das Fenster wurde von Hand oder nach der Uhr gesetzt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Let the window begin and end at whole passes, or let Kuffin find it.</source>
            <translation>Das Fenster bei ganzen Durchgängen beginnen und enden lassen, oder Kuffin finden lassen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>dips count more or less than their share</source>
            <translation>Einbrüche zählen mehr oder weniger als ihr Anteil</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Gap in the log</source>
            <translation>Lücke im Log</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the logger paused</source>
            <translation>das Aufzeichnen pausierte</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the computer slept or was busy</source>
            <translation>der Rechner schlief oder war beschäftigt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a cable came loose</source>
            <translation>ein Kabel löste sich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Look at what happened in the gap before the run counts.</source>
            <translation>Nachsehen, was in der Lücke geschah, bevor der Lauf zählt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Load steps missing</source>
            <translation>Lastschritte fehlen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the run ended before its last step</source>
            <translation>der Lauf endete vor seinem letzten Schritt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a step was too short, or at another level</source>
            <translation>ein Schritt war zu kurz, oder auf anderer Höhe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the protocol is another one than was run</source>
            <translation>der Ablauf ist ein anderer als der gefahrene</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Look at the protocol on the Plan desk, and at the power over time; what is there is judged.</source>
            <translation>Nach dem Ablauf am Pult „Planen“ und nach der Leistung über der Zeit sehen; was da ist, wird beurteilt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>this mount says nothing under a step that it lacks</source>
            <translation>über einen fehlenden Schritt sagt diese Montage nichts</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>The room drifted</source>
            <translation>Der Raum driftete</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>sun, heating or people in the room</source>
            <translation>Sonne, Heizung oder Leute im Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the test itself warms the room</source>
            <translation>die Prüfung selbst wärmt den Raum</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Over air the drift is taken out with the loop's own delay; a steadier room gives a narrower interval.</source>
            <translation>Über Luft wird die Drift mit dem eigenen Verzug des Kreislaufs herausgenommen; ein ruhigerer Raum gibt ein engeres Intervall.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>The air jumped</source>
            <translation>Die Luft sprang</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a door or window was opened</source>
            <translation>eine Tür oder ein Fenster ging auf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>an air conditioner came on</source>
            <translation>eine Klimaanlage sprang an</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>somebody stood beside the probe</source>
            <translation>jemand stand neben dem Fühler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Wait until two time constants after it, or run it again with the door shut.</source>
            <translation>Zwei Zeitkonstanten danach abwarten, oder bei geschlossener Tür wiederholen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the coolant answers the room only minutes later</source>
            <translation>das Kühlmittel antwortet dem Raum erst nach Minuten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Air probes disagree</source>
            <translation>Luftfühler sind uneins</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>one probe hangs in warm air that comes back from the radiator</source>
            <translation>ein Fühler hängt in warmer Luft, die vom Radiator zurückkommt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a probe touches something</source>
            <translation>ein Fühler berührt etwas</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a probe's offset</source>
            <translation>der Versatz eines Fühlers</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Hang them at the intake, away from exhaust and walls; check them side by side at rest.</source>
            <translation>Am Einlass aufhängen, weg von Abluft und Wänden; nebeneinander in Ruhe prüfen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Coolant over air is off at rest as much as under load</source>
            <translation>Kühlmittel über Luft liegt in Ruhe ebenso daneben wie unter Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the radiator draws warmer air than the air probe says</source>
            <translation>der Radiator zieht wärmere Luft, als der Luftfühler sagt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the loop was still warm from before</source>
            <translation>der Kreislauf war noch warm von vorher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Hold a probe into the intake itself; check both probes in one glass at room temperature.</source>
            <translation>Einen Fühler in den Einlass selbst halten; beide Fühler in einem Glas bei Raumtemperatur prüfen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>more heat does not do that: the same kelvins stand on every reading over air</source>
            <translation>mehr Wärme tut das nicht: dieselben Kelvin stehen auf jeder Ablesung über Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Probes disagree at room temperature</source>
            <translation>Fühler sind bei Raumtemperatur uneins</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>something was still warm</source>
            <translation>etwas war noch warm</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Give the probe its offset on the Bench page, from a glass of water at room temperature.</source>
            <translation>Dem Fühler auf der Seite „Prüfstand“ seinen Versatz geben, aus einem Glas Wasser bei Raumtemperatur.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Probes look swapped under load</source>
            <translation>Fühler sehen unter Last vertauscht aus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the coolant's probe and the air's are changed round</source>
            <translation>der Fühler des Kühlmittels und der der Luft sind vertauscht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the air probe hangs in the exhaust</source>
            <translation>der Luftfühler hängt in der Abluft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Look at the roles under Channels; if a probe hangs wrong, run it again.</source>
            <translation>Nach den Rollen unter „Kanäle“ sehen; hängt ein Fühler falsch, wiederholen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>heat does not flow uphill</source>
            <translation>Wärme fließt nicht bergauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Near the dew point</source>
            <translation>Nahe am Taupunkt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>chilled coolant</source>
            <translation>gekühltes Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>very moist air</source>
            <translation>sehr feuchte Luft</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Water may form on cold parts beside mains and electronics: warm the coolant, or switch off and dry. Ask somebody qualified where you are not sure.</source>
            <translation>Auf kalten Teilen neben Netzspannung und Elektronik kann sich Wasser bilden: das Kühlmittel wärmen, oder abschalten und trocknen. Im Zweifel Fachleute fragen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Power unlike the other mounts</source>
            <translation>Leistung anders als bei den anderen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a program in the background</source>
            <translation>ein Programm im Hintergrund</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>another load or setting</source>
            <translation>eine andere Last oder Einstellung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>leakage of a hotter die</source>
            <translation>Leckstrom eines heißeren Chips</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Read it per watt, or run it again with the background quiet.</source>
            <translation>Je Watt ablesen, oder mit ruhigem Hintergrund wiederholen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Idle power unlike the other mounts</source>
            <translation>Leerlaufleistung anders als bei den anderen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>another power setting</source>
            <translation>eine andere Leistungseinstellung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Look at what runs on the machine; per watt the reading may still stand.</source>
            <translation>Nachsehen, was auf der Maschine läuft; je Watt kann die Ablesung trotzdem gelten.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Power drifts in the window</source>
            <translation>Leistung driftet im Fenster</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the load changes</source>
            <translation>die Last ändert sich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>boost steps down as it warms</source>
            <translation>der Takt stuft sich beim Warmwerden herunter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a background program begins or ends</source>
            <translation>ein Programm im Hintergrund beginnt oder endet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Per watt takes most of it out; a steady load is better.</source>
            <translation>Je Watt nimmt das meiste heraus; eine ruhige Last ist besser.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Throttled</source>
            <translation>Gedrosselt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the part reached its temperature limit</source>
            <translation>das Teil hat seine Temperaturgrenze erreicht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the mount makes bad contact</source>
            <translation>die Montage hat schlechten Kontakt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>too little flow</source>
            <translation>zu wenig Durchfluss</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>At the limit the temperature says nothing: compare at a lower power, or compare the clock held.</source>
            <translation>An der Grenze sagt die Temperatur nichts: bei kleinerer Leistung vergleichen, oder den gehaltenen Takt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the temperature is the limit's, not the cooler's</source>
            <translation>die Temperatur ist die der Grenze, nicht die des Kühlers</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Power at the wall</source>
            <translation>Leistung an der Steckdose</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>no channel tells the part's own power</source>
            <translation>kein Kanal sagt die eigene Leistung des Teils</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Say on the Bench page what the wall's power holds besides (at idle, and the supply's efficiency), or compare over coolant or air at the same load.</source>
            <translation>Auf der Seite „Prüfstand“ sagen, was die Leistung an der Steckdose sonst enthält (im Leerlauf, und den Wirkungsgrad des Netzteils), oder bei gleicher Last über Kühlmittel oder Luft vergleichen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a rise per watt is too small by the share that is not the part's</source>
            <translation>ein Anstieg je Watt ist um den Anteil zu klein, der nicht der des Teils ist</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Flow unlike the other mounts</source>
            <translation>Durchfluss anders als bei den anderen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a kinked tube</source>
            <translation>ein geknickter Schlauch</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the pump was set otherwise</source>
            <translation>die Pumpe wurde anders gestellt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>dirt in the block</source>
            <translation>Schmutz im Block</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Bleed it, look along the tubes, look at the pump's speed; then run it again.</source>
            <translation>Entlüften, die Schläuche entlangsehen, nach der Drehzahl der Pumpe sehen; dann wiederholen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>block and radiator are both worse at less flow</source>
            <translation>Block und Radiator sind bei weniger Durchfluss beide schlechter</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Flow sags</source>
            <translation>Durchfluss lässt nach</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the pump tires or is throttled</source>
            <translation>die Pumpe ermüdet oder wird gedrosselt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>air collects</source>
            <translation>Luft sammelt sich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a filter or block fills with dirt</source>
            <translation>ein Filter oder Block füllt sich mit Schmutz</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Look at the pump's speed and supply; run it again when it is steady.</source>
            <translation>Nach Drehzahl und Versorgung der Pumpe sehen; wiederholen, wenn sie ruhig läuft.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>there is no one state to read</source>
            <translation>es gibt keinen einen Zustand zum Ablesen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Pump unlike the other mounts</source>
            <translation>Pumpe anders als bei den anderen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the pump tires</source>
            <translation>die Pumpe ermüdet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>another curve is active</source>
            <translation>eine andere Kurve ist aktiv</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Set it by hand to the study's speed, and run it again.</source>
            <translation>Von Hand auf die Drehzahl der Studie stellen und wiederholen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Pump slows down</source>
            <translation>Pumpe wird langsamer</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the pump tires or overheats</source>
            <translation>die Pumpe ermüdet oder wird zu heiß</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>its supply sags</source>
            <translation>ihre Versorgung bricht ein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a control curve</source>
            <translation>eine Regelkurve</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Fix its speed by hand; replace it where it cannot hold it.</source>
            <translation>Ihre Drehzahl von Hand festsetzen; ersetzen, wenn sie sie nicht hält.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Fans unlike the other mounts</source>
            <translation>Lüfter anders als bei den anderen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the fans were set otherwise</source>
            <translation>die Lüfter wurden anders gestellt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a fan stands still</source>
            <translation>ein Lüfter steht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Set them by hand to the study's speed, and run it again.</source>
            <translation>Von Hand auf die Drehzahl der Studie stellen und wiederholen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Heat balance open</source>
            <translation>Wärmebilanz geht nicht auf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the two coolant probes differ by an offset</source>
            <translation>die zwei Kühlmittelfühler liegen um einen Versatz auseinander</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the flow meter is off</source>
            <translation>der Durchflussmesser liegt daneben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>heat goes another way than into the coolant</source>
            <translation>Wärme geht einen anderen Weg als ins Kühlmittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the power channel is not the part's</source>
            <translation>der Leistungskanal ist nicht der des Teils</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Check the probes side by side; a pair 0.1 K off closes nothing at a high flow.</source>
            <translation>Die Fühler nebeneinander prüfen; ein Paar, das 0,1 K danebenliegt, schließt bei hohem Durchfluss nichts.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>A sensor is stuck</source>
            <translation>Ein Sensor hängt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the logger repeats the last value</source>
            <translation>das Log wiederholt den letzten Wert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the sensor is broken</source>
            <translation>der Sensor ist kaputt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Do not use the channel after that moment; look at its cable and run it again.</source>
            <translation>Den Kanal nach jenem Augenblick nicht verwenden; nach seinem Kabel sehen und wiederholen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a value that stands still is not a measurement</source>
            <translation>ein Wert, der stillsteht, ist keine Messung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>A sensor drops out</source>
            <translation>Ein Sensor setzt aus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a loose plug</source>
            <translation>ein loser Stecker</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a bus that is too busy</source>
            <translation>ein zu beschäftigter Bus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Look at its plug; what is missing stays missing, and nothing is put in its place.</source>
            <translation>Nach seinem Stecker sehen; was fehlt, bleibt fehlen, und nichts wird an seine Stelle gesetzt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>A sensor spikes</source>
            <translation>Ein Sensor zuckt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a loose probe</source>
            <translation>ein loser Fühler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>disturbance from fans or supplies</source>
            <translation>Störung von Lüftern oder Netzteilen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a bus error</source>
            <translation>ein Fehler auf dem Bus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Marked samples are left out of means; more than a few per cent want a better cable.</source>
            <translation>Markierte Werte gehen nicht in Mittel ein; mehr als ein paar Prozent brauchen ein besseres Kabel.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>A coarse sensor</source>
            <translation>Ein grober Sensor</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>it shows whole degrees only</source>
            <translation>er zeigt nur ganze Grade</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Its step goes into the uncertainty; a finer probe would help more than more mounts.</source>
            <translation>Seine Stufe geht in die Unsicherheit ein; ein feinerer Fühler hülfe mehr als weitere Montagen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>A value that cannot be</source>
            <translation>Ein Wert, der nicht sein kann</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the wrong unit or role</source>
            <translation>die falsche Einheit oder Rolle</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a broken probe</source>
            <translation>ein kaputter Fühler</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Look at unit and role under Channels.</source>
            <translation>Nach Einheit und Rolle unter „Kanäle“ sehen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Die over coolant unlike the other mounts</source>
            <translation>Chip über Kühlmittel anders als bei den anderen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>bad contact: paste, tilt or uneven screws</source>
            <translation>schlechter Kontakt: Paste, Verkippung oder ungleiche Schrauben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>pads that hold the block off</source>
            <translation>Pads, die den Block abheben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>another paste or amount</source>
            <translation>andere Paste oder Menge</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>low flow</source>
            <translation>wenig Durchfluss</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Open it up, look at the print, and mount it again: another mount tells more than leaving this one out.</source>
            <translation>Öffnen, den Abdruck ansehen und neu montieren: eine weitere Montage sagt mehr, als diese auszunehmen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Coolant over air unlike the other mounts</source>
            <translation>Kühlmittel über Luft anders als bei den anderen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>air in the radiator</source>
            <translation>Luft im Radiator</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>fans set otherwise or blocked</source>
            <translation>Lüfter anders gestellt oder verdeckt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>warm intake air</source>
            <translation>warme Luft am Einlass</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>another device at work in the loop</source>
            <translation>ein anderes Gerät arbeitet im Kreislauf</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Bleed it, look at the fans and at where the air probe hangs; then run it again.</source>
            <translation>Entlüften, nach den Lüftern und dem Ort des Luftfühlers sehen; dann wiederholen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Hot spot over die unlike the other mounts</source>
            <translation>Hotspot über Chip anders als bei den anderen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>uneven contact or tilt</source>
            <translation>ungleicher Kontakt oder Verkippung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>pads too thick on one side</source>
            <translation>Pads, die auf einer Seite zu dick sind</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>paste that does not reach a corner</source>
            <translation>Paste, die eine Ecke nicht erreicht</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Look at the print where the hot spot is; check pad heights and the order of screws.</source>
            <translation>Den Abdruck dort ansehen, wo der Hotspot ist; Padhöhen und Reihenfolge der Schrauben prüfen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Core spread unlike the other mounts</source>
            <translation>Spanne der Kerne anders als bei den anderen Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a core under more load</source>
            <translation>ein Kern unter größerer Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Look at the print; tighten crosswise.</source>
            <translation>Den Abdruck ansehen; über Kreuz anziehen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>A first mount unlike the other candidates</source>
            <translation>Eine erste Montage anders als die anderen Kandidaten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a candidate that is much worse than the others</source>
            <translation>ein Kandidat, der viel schlechter ist als die anderen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Open it up and look at the print before going on; mount it again.</source>
            <translation>Vor dem Weitermachen öffnen und den Abdruck ansehen; neu montieren.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>This mount unlike its siblings</source>
            <translation>Diese Montage anders als ihre Geschwister</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a bad mount</source>
            <translation>eine schlechte Montage</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>something changed on the bench</source>
            <translation>etwas am Prüfstand hat sich geändert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>chance: one in a hundred looks so</source>
            <translation>Zufall: eine von hundert sieht so aus</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Another mount tells more than leaving this one out.</source>
            <translation>Eine weitere Montage sagt mehr, als diese auszunehmen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Candidates differ in something that is not under test</source>
            <translation>Kandidaten unterscheiden sich in etwas, das nicht geprüft wird</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a setting was changed along with the part</source>
            <translation>eine Einstellung wurde mit dem Teil geändert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Make it the same, or give the reason on the page “Fair?” of the Plan desk.</source>
            <translation>Angleichen, oder auf der Seite „Fair?“ am Pult „Planen“ den Grund nennen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>The bench moved</source>
            <translation>Der Prüfstand hat sich verschoben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>a probe shifted</source>
            <translation>ein Fühler hat sich verschoben</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the pump or paste ages</source>
            <translation>Pumpe oder Paste altert</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the season</source>
            <translation>die Jahreszeit</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Retest the baseline, and look at what changed since.</source>
            <translation>Den Bezug neu prüfen, und nachsehen, was sich seither geändert hat.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Few mounts</source>
            <translation>Wenige Montagen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>the study is young</source>
            <translation>die Studie ist jung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Mount each candidate at least three times.</source>
            <translation>Jeden Kandidaten mindestens dreimal montieren.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>One sample</source>
            <translation>Ein Exemplar</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>only one of each was to hand</source>
            <translation>von jedem war nur eines zur Hand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/kinds.py" />
            <source>Say “these samples”, or get a second one of each.</source>
            <translation>„Diese Exemplare“ sagen, oder von jedem ein zweites besorgen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>chance that a sound mount is doubted, for each figure</source>
            <translation>Wahrscheinlichkeit, dass eine gute Montage angezweifelt wird, je Zahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>about ten figures are held against the siblings; all of them together doubt a few sound mounts in a hundred</source>
            <translation>etwa zehn Zahlen werden gegen die Geschwister gehalten; alle zusammen zweifeln ein paar gute Montagen von hundert an</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>least departure of a rise from the siblings'</source>
            <translation>kleinste Abweichung eines Anstiegs von dem der Geschwister</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>nobody remounts for less</source>
            <translation>für weniger montiert niemand neu</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>least departure of hot spot over die</source>
            <translation>kleinste Abweichung von Hotspot über Chip</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>hot spots scatter more than dies</source>
            <translation>Hotspots streuen mehr als Chips</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>least departure of the core spread</source>
            <translation>kleinste Abweichung der Spanne der Kerne</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>cores scatter by their load</source>
            <translation>Kerne streuen mit ihrer Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>how far die over coolant usually differs between candidates</source>
            <translation>wie weit sich Chip über Kühlmittel zwischen Kandidaten gewöhnlich unterscheidet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>a first mount is held against the same device under other candidates</source>
            <translation>eine erste Montage wird gegen dasselbe Gerät unter anderen Kandidaten gehalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>how far hot spot over die usually differs between candidates</source>
            <translation>wie weit sich Hotspot über Chip zwischen Kandidaten gewöhnlich unterscheidet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>it is the device's own, and contact that is not even raises it</source>
            <translation>er ist dem Gerät eigen, und ungleicher Kontakt hebt ihn</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>how far the core spread usually differs between candidates</source>
            <translation>wie weit sich die Spanne der Kerne zwischen Kandidaten gewöhnlich unterscheidet</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>likewise</source>
            <translation>ebenso</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>die over coolant, at most usual in general</source>
            <translation>Chip über Kühlmittel, im Allgemeinen höchstens üblich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>for a first mount of a device of which the notebook knows nothing else; set your own device's</source>
            <translation>für die erste Montage eines Geräts, von dem das Heft sonst nichts weiß; den Wert des eigenen Geräts setzen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>hot spot over die, at most usual in general</source>
            <translation>Hotspot über Chip, im Allgemeinen höchstens üblich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>core spread, at most usual in general</source>
            <translation>Spanne der Kerne, im Allgemeinen höchstens üblich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>least departure of flow</source>
            <translation>kleinste Abweichung des Durchflusses</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>a flow wheel repeats to 1 or 2 %</source>
            <translation>ein Durchflussrad wiederholt auf 1 oder 2 %</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>least departure of pump or fan speed</source>
            <translation>kleinste Abweichung der Pumpen- oder Lüfterdrehzahl</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>speeds are held to 1 or 2 %</source>
            <translation>Drehzahlen werden auf 1 oder 2 % gehalten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>least departure of power</source>
            <translation>kleinste Abweichung der Leistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>per watt takes out what is left</source>
            <translation>je Watt nimmt heraus, was bleibt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>least departure of idle power</source>
            <translation>kleinste Abweichung der Leerlaufleistung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>a background program takes more</source>
            <translation>ein Programm im Hintergrund nimmt mehr</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>coolant over air at rest beyond what its heat explains</source>
            <translation>Kühlmittel über Luft in Ruhe, mehr als seine Wärme erklärt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>two good probes agree to 0.2 K</source>
            <translation>zwei gute Fühler stimmen auf 0,2 K überein</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>drift of the air in the window</source>
            <translation>Drift der Luft im Fenster</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>the lag takes most of it out, not all</source>
            <translation>der Verzug nimmt das meiste heraus, nicht alles</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>jump of the air within two minutes</source>
            <translation>Sprung der Luft innerhalb von zwei Minuten</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>an air conditioner's swing is slower or smaller</source>
            <translation>das Schwanken einer Klimaanlage ist langsamer oder kleiner</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>creep of die over coolant from ten minutes after load to the end</source>
            <translation>Kriechen von Chip über Kühlmittel ab zehn Minuten nach der Last bis zum Ende</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>a settled die stands still within the noise</source>
            <translation>ein eingeschwungener Chip steht im Rauschen still</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>fall of flow or pump speed over the load</source>
            <translation>Abfall von Durchfluss oder Pumpendrehzahl über die Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>a warm coolant is thinner: flow rises rather than falls</source>
            <translation>warmes Kühlmittel ist dünner: der Durchfluss steigt eher</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>drift of power in the window</source>
            <translation>Drift der Leistung im Fenster</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>leakage alone makes less, once settled</source>
            <translation>Leckstrom allein macht weniger, einmal eingeschwungen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>heat balance open beyond its own uncertainty by</source>
            <translation>Wärmebilanz offen, über ihre eigene Unsicherheit hinaus um</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>board and air take up to a quarter</source>
            <translation>Board und Luft nehmen bis zu einem Viertel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>share of the load in which clock was lost at the limit</source>
            <translation>Anteil der Last, in dem an der Grenze Takt verloren ging</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>a moment at the limit spoils nothing</source>
            <translation>ein Augenblick an der Grenze verdirbt nichts</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>air probes apart in the window</source>
            <translation>Abstand der Luftfühler im Fenster</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>air over a radiator's face differs by less</source>
            <translation>die Luft über die Fläche eines Radiators unterscheidet sich weniger</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>coolant above the dew point by less than</source>
            <translation>Kühlmittel über dem Taupunkt um weniger als</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>cold spots lie below the mean</source>
            <translation>kalte Stellen liegen unter dem Mittel</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>samples missing under load</source>
            <translation>fehlende Werte unter Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>below that the window is still well filled</source>
            <translation>darunter ist das Fenster noch gut gefüllt</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>samples that are spikes</source>
            <translation>Werte, die Zuckungen sind</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>up to 1 % is usual</source>
            <translation>bis zu 1 % ist üblich</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>gap in the log under load</source>
            <translation>Lücke im Log unter Last</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/findings/thresholds.py" />
            <source>the loop moves little in a minute</source>
            <translation>in einer Minute bewegt sich der Kreislauf wenig</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/flow/curvekinds.py" />
            <source>restriction</source>
            <translation>Widerstand</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/flow/curvekinds.py" />
            <source>pump curve</source>
            <translation>Pumpenkurve</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/flow/curvekinds.py" />
            <source>flow with and without it</source>
            <translation>Durchfluss ohne und mit ihm</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/flow/curvekinds.py" />
            <source>drop</source>
            <translation>Druckabfall</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/flow/curvekinds.py" />
            <source>in series</source>
            <translation>hintereinander</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/flow/curvekinds.py" />
            <source>head</source>
            <translation>Förderhöhe</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/flow/curvekinds.py" />
            <source>flow without it</source>
            <translation>Durchfluss ohne ihn</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/flow/curvekinds.py" />
            <source>flow with it</source>
            <translation>Durchfluss mit ihm</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/publish/figures/drawing.py" />
            <source>Clear, dark text</source>
            <translation>Durchsichtig, dunkle Schrift</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/publish/figures/drawing.py" />
            <source>Clear, light text</source>
            <translation>Durchsichtig, helle Schrift</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/prepare/cautions.py" />
            <source>Kuffin is no safety device. The parts' manuals, local rules and qualified people come first.</source>
            <translation>Kuffin ist keine Sicherheitseinrichtung. Die Anleitungen der Teile, örtliche Regeln und Fachleute gehen vor.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/prepare/cautions.py" />
            <source>Water and mains: pull the mains plug before opening a wet loop, keep connections above the bench dry, and let a qualified person see to anything on the mains side.</source>
            <translation>Wasser und Netzspannung: den Netzstecker ziehen, bevor ein nasser Kreislauf geöffnet wird, Verbindungen über dem Tisch trocken halten, und alles auf der Netzseite Fachleuten überlassen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/prepare/cautions.py" />
            <source>Running the pump alone: use only a supply or a starting plug made for it, as its manual says, with the computer's own supply off and unplugged from the board.</source>
            <translation>Nur die Pumpe laufen lassen: nur mit einem dafür gemachten Netzteil oder Startstecker, wie seine Anleitung sagt, mit dem Netzteil des Rechners aus und vom Board getrennt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/prepare/cautions.py" />
            <source>Never open a power supply: it holds a dangerous charge long after the plug is out.</source>
            <translation>Nie ein Netzteil öffnen: es hält noch lange nach dem Ziehen des Steckers eine gefährliche Ladung.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/prepare/cautions.py" />
            <source>A pump must never run dry, not even for seconds: fill the reservoir first and watch it.</source>
            <translation>Eine Pumpe darf nie trocken laufen, auch nicht für Sekunden: erst den Ausgleichsbehälter füllen und im Auge behalten.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/prepare/cautions.py" />
            <source>Pressure: never above the lowest pressure any part's maker allows; wear eye protection; let it off slowly. Air under pressure bursts harder than water.</source>
            <translation>Druck: nie über dem kleinsten Druck, den ein Hersteller der Teile erlaubt; Augenschutz tragen; langsam ablassen. Luft unter Druck platzt heftiger als Wasser.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/prepare/cautions.py" />
            <source>Glycol is poisonous to people and animals, and tastes sweet: no open vessels, wash hands, store and dispose of it by the local rules.</source>
            <translation>Glykol ist für Menschen und Tiere giftig und schmeckt süß: keine offenen Gefäße, Hände waschen, nach den örtlichen Regeln lagern und entsorgen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/prepare/cautions.py" />
            <source>Hot parts: let them cool, and measure temperatures rather than touching.</source>
            <translation>Heiße Teile: abkühlen lassen, und Temperaturen messen statt anfassen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/prepare/cautions.py" />
            <source>Fins and sheet edges cut: hold radiators and coolers by the frame; gloves help.</source>
            <translation>Lamellen und Blechkanten schneiden: Radiatoren und Kühler am Rahmen halten; Handschuhe helfen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/prepare/cautions.py" />
            <source>A paste that conducts electricity: none of it may reach contacts or small parts beside the die; cover them as the part's manual says.</source>
            <translation>Eine Paste, die Strom leitet: nichts davon darf an Kontakte oder kleine Teile neben dem Chip; abdecken, wie die Anleitung des Teils sagt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/prepare/cautions.py" />
            <source>Liquid metal conducts and runs, and destroys aluminium: never on or near aluminium; cover what lies beside the die.</source>
            <translation>Flüssigmetall leitet, läuft und zerstört Aluminium: nie auf oder nahe Aluminium; abdecken, was neben dem Chip liegt.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/prepare/cautions.py" />
            <source>Biocides and concentrates are harmful: read the label, gloves and eye protection, never mix two of them.</source>
            <translation>Biozide und Konzentrate sind schädlich: das Etikett lesen, Handschuhe und Augenschutz, nie zwei davon mischen.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/limits.py" />
            <source>Kuffin watches these limits while it records, but it is no safety device: it can be late, or stopped, or read a probe that has slipped off. The parts' own protection and whoever stands at the bench come first.</source>
            <translation>Kuffin überwacht diese Grenzen, während es aufzeichnet, aber es ist keine Sicherheitseinrichtung: es kann zu spät sein oder angehalten, oder einen abgerutschten Fühler lesen. Der eigene Schutz der Teile und wer am Prüfstand steht, gehen vor.</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/protocol.py" />
            <source>by itself</source>
            <translation>von selbst</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/bench/protocol.py" />
            <source>by the check</source>
            <translation>nach der Prüfung</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/plan/schedule.py" />
            <source>Monday</source>
            <translation>Montag</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/plan/schedule.py" />
            <source>Tuesday</source>
            <translation>Dienstag</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/plan/schedule.py" />
            <source>Wednesday</source>
            <translation>Mittwoch</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/plan/schedule.py" />
            <source>Thursday</source>
            <translation>Donnerstag</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/plan/schedule.py" />
            <source>Friday</source>
            <translation>Freitag</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/plan/schedule.py" />
            <source>Saturday</source>
            <translation>Samstag</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/plan/schedule.py" />
            <source>Sunday</source>
            <translation>Sonntag</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/flow/curvekinds.py" />
            <source>measured</source>
            <translation>gemessen</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/core/flow/curvekinds.py" />
            <source>its maker's sheet</source>
            <translation>Blatt des Herstellers</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/instruments/setup.py" />
            <source>sensors of this computer</source>
            <translation>Sensoren dieses Rechners</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/instruments/setup.py" />
            <source>clocks and power of the processor</source>
            <translation>Takt und Leistung des Prozessors</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/instruments/setup.py" />
            <source>meter on a serial or USB port</source>
            <translation>Messgerät an serieller Schnittstelle oder USB</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/instruments/setup.py" />
            <source>lines over the network</source>
            <translation>Zeilen über das Netzwerk</translation>
        </message>
        <message>
            <location filename="../../../../src/kuffin/instruments/setup.py" />
            <source>a command's output</source>
            <translation>Ausgabe eines Befehls</translation>
        </message>
    </context>
</TS>
