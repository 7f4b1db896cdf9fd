using System;
using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Yuntak.Data.Migrations
{
    /// <inheritdoc />
    public partial class First : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.CreateTable(
                name: "labs",
                columns: table => new
                {
                    Id = table.Column<int>(type: "INTEGER", nullable: false).Annotation("Sqlite:Autoincrement", true),
                    DraftRevision = table.Column<long>(type: "INTEGER", nullable: false),
                    AsBuiltRevision = table.Column<long>(type: "INTEGER", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_labs", x => x.Id);
                }
            );

            migrationBuilder.CreateTable(
                name: "readings",
                columns: table => new
                {
                    Id = table.Column<long>(type: "INTEGER", nullable: false).Annotation("Sqlite:Autoincrement", true),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Content = table.Column<byte[]>(type: "BLOB", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_readings", x => x.Id);
                }
            );

            migrationBuilder.CreateTable(
                name: "revisions",
                columns: table => new
                {
                    Id = table.Column<long>(type: "INTEGER", nullable: false).Annotation("Sqlite:Autoincrement", true),
                    LabId = table.Column<int>(type: "INTEGER", nullable: false),
                    Pointer = table.Column<int>(type: "INTEGER", nullable: false),
                    Number = table.Column<int>(type: "INTEGER", nullable: false),
                    Parent = table.Column<long>(type: "INTEGER", nullable: true),
                    UndoTo = table.Column<long>(type: "INTEGER", nullable: true),
                    RedoTo = table.Column<long>(type: "INTEGER", nullable: true),
                    At = table.Column<DateTime>(type: "TEXT", nullable: false),
                    Sentence = table.Column<string>(type: "TEXT", nullable: false),
                    SchemaVersion = table.Column<int>(type: "INTEGER", nullable: false),
                    Content = table.Column<byte[]>(type: "BLOB", nullable: false),
                },
                constraints: table =>
                {
                    table.PrimaryKey("PK_revisions", x => x.Id);
                    table.ForeignKey(
                        name: "FK_revisions_labs_LabId",
                        column: x => x.LabId,
                        principalTable: "labs",
                        principalColumn: "Id",
                        onDelete: ReferentialAction.Restrict
                    );
                }
            );

            migrationBuilder.CreateIndex(name: "IX_readings_At", table: "readings", column: "At");

            migrationBuilder.CreateIndex(
                name: "IX_revisions_LabId_Pointer_Number",
                table: "revisions",
                columns: new[] { "LabId", "Pointer", "Number" }
            );
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropTable(name: "readings");

            migrationBuilder.DropTable(name: "revisions");

            migrationBuilder.DropTable(name: "labs");
        }
    }
}
