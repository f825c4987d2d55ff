using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Cabida.Store.Migrations
{
    /// <inheritdoc />
    public partial class PackedRevisions : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<int>(
                name: "BasedOn",
                table: "Revisions",
                type: "INTEGER",
                nullable: true);

            migrationBuilder.AddColumn<bool>(
                name: "Gone",
                table: "Revisions",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);

            migrationBuilder.AddColumn<byte[]>(
                name: "Packed",
                table: "Revisions",
                type: "BLOB",
                nullable: true);

            migrationBuilder.AddColumn<int>(
                name: "Form",
                table: "Outlines",
                type: "INTEGER",
                nullable: false,
                defaultValue: 1);

            // Until now a removal was a revision without a text.
            migrationBuilder.Sql("UPDATE Revisions SET Gone = 1 WHERE Json IS NULL");
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "BasedOn",
                table: "Revisions");

            migrationBuilder.DropColumn(
                name: "Gone",
                table: "Revisions");

            migrationBuilder.DropColumn(
                name: "Packed",
                table: "Revisions");

            migrationBuilder.DropColumn(
                name: "Form",
                table: "Outlines");
        }
    }
}
