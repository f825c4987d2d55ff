using Cabida.Store.Rows;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;

namespace Cabida.Store;

/// <summary>The maker's library in SQLite.</summary>
public sealed class CabidaContext(DbContextOptions<CabidaContext> options) : DbContext(options)
{
    /// <summary>Documents as they stand.</summary>
    public DbSet<DocumentRow> Documents => Set<DocumentRow>();

    /// <summary>Every state they were in.</summary>
    public DbSet<RevisionRow> Revisions => Set<RevisionRow>();

    /// <summary>Every change.</summary>
    public DbSet<ChangeSetRow> ChangeSets => Set<ChangeSetRow>();

    /// <summary>What refers to what.</summary>
    public DbSet<ReferenceRow> References => Set<ReferenceRow>();

    /// <summary>Pictures and scans.</summary>
    public DbSet<PictureRow> Pictures => Set<PictureRow>();

    /// <summary>Outlines of graphics.</summary>
    public DbSet<OutlinesRow> Outlines => Set<OutlinesRow>();

    /// <summary>Typefaces that the maker added.</summary>
    public DbSet<TypefaceRow> Typefaces => Set<TypefaceRow>();

    /// <summary>Long work.</summary>
    public DbSet<WorkRow> Works => Set<WorkRow>();

    /// <summary>How plans came to lie.</summary>
    public DbSet<LayoutRow> Layouts => Set<LayoutRow>();

    /// <summary>Files of released loads.</summary>
    public DbSet<CutFileRow> CutFiles => Set<CutFileRow>();

    /// <inheritdoc/>
    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        ArgumentNullException.ThrowIfNull(modelBuilder);
        modelBuilder.Entity<DocumentRow>(e =>
        {
            e.HasKey(d => new { d.Kind, d.Id });
            e.Property(d => d.Revision).IsConcurrencyToken();
        });
        modelBuilder.Entity<RevisionRow>(e =>
        {
            e.HasKey(r => new
            {
                r.Kind,
                r.Id,
                r.Revision,
            });
            e.HasOne<ChangeSetRow>().WithMany().HasForeignKey(r => r.ChangeSetId);
            e.HasIndex(r => r.ChangeSetId);
        });
        modelBuilder.Entity<PictureRow>().HasKey(p => p.Id);
        modelBuilder.Entity<OutlinesRow>().HasKey(p => p.Id);
        modelBuilder.Entity<TypefaceRow>().HasKey(p => p.Id);
        modelBuilder.Entity<LayoutRow>().HasKey(l => new { l.PlanId, l.Key });
        modelBuilder.Entity<CutFileRow>().HasKey(f => f.Id);
        modelBuilder.Entity<WorkRow>().HasIndex(w => new { w.Kind, w.State });
        modelBuilder.Entity<ReferenceRow>(e =>
        {
            e.HasKey(r => new
            {
                r.FromKind,
                r.FromId,
                r.ToKind,
                r.ToId,
            });
            e.HasIndex(r => new { r.ToKind, r.ToId });
        });
    }
}

/// <summary>Lets the migration tool make a context without the application.</summary>
public sealed class CabidaContextFactory : IDesignTimeDbContextFactory<CabidaContext>
{
    /// <inheritdoc/>
    public CabidaContext CreateDbContext(string[] args) =>
        new(new DbContextOptionsBuilder<CabidaContext>().UseSqlite("Data Source=:memory:").Options);
}
