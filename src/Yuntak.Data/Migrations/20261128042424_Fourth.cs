using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Yuntak.Data.Migrations
{
    /// <inheritdoc />
    public partial class Fourth : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<long>(name: "CopyOf", table: "revisions", type: "INTEGER", nullable: true);

            migrationBuilder.AddColumn<long>(name: "Learnt", table: "revisions", type: "INTEGER", nullable: true);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(name: "CopyOf", table: "revisions");

            migrationBuilder.DropColumn(name: "Learnt", table: "revisions");
        }
    }
}
