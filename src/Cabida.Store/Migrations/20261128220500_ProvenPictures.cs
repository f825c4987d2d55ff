using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Cabida.Store.Migrations
{
    /// <inheritdoc />
    public partial class ProvenPictures : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<bool>(
                name: "Proven",
                table: "Pictures",
                type: "INTEGER",
                nullable: false,
                defaultValue: false);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "Proven",
                table: "Pictures");
        }
    }
}
