using Microsoft.EntityFrameworkCore;

namespace Yuntak.Data;

/// <summary>The database: SQLite through Entity Framework Core.</summary>
public sealed class YuntakDb(DbContextOptions<YuntakDb> options) : DbContext(options)
{
    /// <summary>The labs with their two pointers. One for now.</summary>
    public DbSet<LabRow> Labs => Set<LabRow>();

    /// <summary>Every revision of every lab, never changed once written.</summary>
    public DbSet<RevisionRow> Revisions => Set<RevisionRow>();

    /// <summary>Texts people gave to be read, so that none is lost.</summary>
    public DbSet<ReadingRow> Readings => Set<ReadingRow>();

    /// <summary>Photos kept with steps of the runbook.</summary>
    public DbSet<PhotoRow> Photos => Set<PhotoRow>();

    /// <inheritdoc/>
    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<LabRow>(lab =>
        {
            lab.ToTable("labs");
            lab.Property(l => l.DraftRevision).IsConcurrencyToken();
            lab.Property(l => l.AsBuiltRevision).IsConcurrencyToken();
        });
        modelBuilder.Entity<RevisionRow>(revision =>
        {
            revision.ToTable("revisions");
            revision.HasIndex(r => new
            {
                r.LabId,
                r.Pointer,
                r.Number,
            });
            revision.HasOne<LabRow>().WithMany().HasForeignKey(r => r.LabId).OnDelete(DeleteBehavior.Restrict);
        });
        modelBuilder.Entity<ReadingRow>(reading =>
        {
            reading.ToTable("readings");
            reading.HasIndex(r => r.At);
            reading.HasIndex(r => r.Hash).IsUnique();
        });
        modelBuilder.Entity<PhotoRow>(photo =>
        {
            photo.ToTable("photos");
            photo.HasIndex(p => p.Step);
        });
    }
}
