using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Yuntak.Data.Migrations
{
    /// <inheritdoc />
    public partial class Second : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<string>(name: "Hash", table: "readings", type: "TEXT", nullable: true);

            migrationBuilder.AddColumn<string>(name: "WrittenBy", table: "labs", type: "TEXT", nullable: false, defaultValue: "");

            migrationBuilder.CreateIndex(name: "IX_readings_Hash", table: "readings", column: "Hash", unique: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropIndex(name: "IX_readings_Hash", table: "readings");

            migrationBuilder.DropColumn(name: "Hash", table: "readings");

            migrationBuilder.DropColumn(name: "WrittenBy", table: "labs");
        }
    }
}
