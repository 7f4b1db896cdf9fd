CREATE TABLE IF NOT EXISTS "__EFMigrationsHistory" (
    "MigrationId" TEXT NOT NULL CONSTRAINT "PK___EFMigrationsHistory" PRIMARY KEY,
    "ProductVersion" TEXT NOT NULL
);

BEGIN TRANSACTION;
CREATE TABLE "labs" (
    "Id" INTEGER NOT NULL CONSTRAINT "PK_labs" PRIMARY KEY AUTOINCREMENT,
    "DraftRevision" INTEGER NOT NULL,
    "AsBuiltRevision" INTEGER NOT NULL
);

CREATE TABLE "readings" (
    "Id" INTEGER NOT NULL CONSTRAINT "PK_readings" PRIMARY KEY AUTOINCREMENT,
    "At" TEXT NOT NULL,
    "Content" BLOB NOT NULL
);

CREATE TABLE "revisions" (
    "Id" INTEGER NOT NULL CONSTRAINT "PK_revisions" PRIMARY KEY AUTOINCREMENT,
    "LabId" INTEGER NOT NULL,
    "Pointer" INTEGER NOT NULL,
    "Number" INTEGER NOT NULL,
    "Parent" INTEGER NULL,
    "UndoTo" INTEGER NULL,
    "RedoTo" INTEGER NULL,
    "At" TEXT NOT NULL,
    "Sentence" TEXT NOT NULL,
    "SchemaVersion" INTEGER NOT NULL,
    "Content" BLOB NOT NULL,
    CONSTRAINT "FK_revisions_labs_LabId" FOREIGN KEY ("LabId") REFERENCES "labs" ("Id") ON DELETE RESTRICT
);

CREATE INDEX "IX_readings_At" ON "readings" ("At");

CREATE INDEX "IX_revisions_LabId_Pointer_Number" ON "revisions" ("LabId", "Pointer", "Number");

INSERT INTO "__EFMigrationsHistory" ("MigrationId", "ProductVersion")
VALUES ('20261124031048_First', '10.0.13');

COMMIT;

BEGIN TRANSACTION;
ALTER TABLE "readings" ADD "Hash" TEXT NULL;

ALTER TABLE "labs" ADD "WrittenBy" TEXT NOT NULL DEFAULT '';

CREATE UNIQUE INDEX "IX_readings_Hash" ON "readings" ("Hash");

INSERT INTO "__EFMigrationsHistory" ("MigrationId", "ProductVersion")
VALUES ('20261126155703_Second', '10.0.13');

COMMIT;

BEGIN TRANSACTION;
CREATE TABLE "photos" (
    "Id" INTEGER NOT NULL CONSTRAINT "PK_photos" PRIMARY KEY AUTOINCREMENT,
    "Step" TEXT NOT NULL,
    "What" TEXT NOT NULL,
    "At" TEXT NOT NULL,
    "Gone" TEXT NULL,
    "Type" TEXT NOT NULL,
    "Content" BLOB NOT NULL
);

CREATE INDEX "IX_photos_Step" ON "photos" ("Step");

INSERT INTO "__EFMigrationsHistory" ("MigrationId", "ProductVersion")
VALUES ('20261127153249_Third', '10.0.13');

COMMIT;

BEGIN TRANSACTION;
ALTER TABLE "revisions" ADD "CopyOf" INTEGER NULL;

ALTER TABLE "revisions" ADD "Learnt" INTEGER NULL;

INSERT INTO "__EFMigrationsHistory" ("MigrationId", "ProductVersion")
VALUES ('20261128042424_Fourth', '10.0.13');

COMMIT;

