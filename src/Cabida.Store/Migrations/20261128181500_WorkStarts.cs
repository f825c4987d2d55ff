using Microsoft.EntityFrameworkCore.Migrations;

#nullable disable

namespace Cabida.Store.Migrations
{
    /// <inheritdoc />
    public partial class WorkStarts : Migration
    {
        /// <inheritdoc />
        protected override void Up(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.AddColumn<int>(
                name: "Starts",
                table: "Works",
                type: "INTEGER",
                nullable: false,
                defaultValue: 0);
        }

        /// <inheritdoc />
        protected override void Down(MigrationBuilder migrationBuilder)
        {
            migrationBuilder.DropColumn(
                name: "Starts",
                table: "Works");
        }
    }
}
