using Google.OrTools.Sat;

namespace Yuntak.Core.Arranging;

/// <summary>Runs the solver within the time there is, tells how far it is, and stops when nobody waits any longer. Time is what the solver says it took: the core has no clock.</summary>
internal sealed class Search : IDisposable
{
    /// <summary>
    /// One thread, so that the same lab gives the same answer; more of the model told to its linear side, since these are sums above all: that proves twice as soon.
    /// </summary>
    private const string Ways = "num_workers:1,linearization_level:2";

    private readonly IProgress<ArrangeProgress>? progress;
    private readonly CancellationToken cancel;
    private readonly int seed;

    /// <param name="ask">What is asked.</param>
    /// <param name="progress">Who is told.</param>
    /// <param name="cancel">Asks it to stop.</param>
    public Search(ArrangeAsk ask, IProgress<ArrangeProgress>? progress, CancellationToken cancel) =>
        (Left, seed, this.progress, this.cancel) = (ask.Seconds, ask.Seed, progress, cancel);

    /// <summary>The seconds that are left.</summary>
    public double Left { get; private set; }

    /// <summary>Keeps a part of the time for later, or gives it back.</summary>
    public void Keep(double seconds) => Left -= seconds;

    /// <summary>The seconds that were used.</summary>
    public double Used { get; private set; }

    /// <summary>The solver of the last run.</summary>
    public CpSolver? Solver { get; private set; }

    /// <summary>Solves a model.</summary>
    /// <param name="model">The model, with what it is to be solved for.</param>
    /// <param name="doing">What it is at, in words.</param>
    /// <param name="part">The part of the time that is left it may take.</param>
    /// <exception cref="OperationCanceledException">Nobody waits any longer.</exception>
    public CpSolverStatus Solve(CpModel model, string doing, double part)
    {
        cancel.ThrowIfCancellationRequested();
        var seconds = Math.Max(0.05, Left * part);
        Solver?.Dispose();
        // What is counted as time by the steps it takes gives the same answer on every machine; the clock only holds it back where a machine is slow.
        Solver = new CpSolver
        {
            StringParameters = FormattableString.Invariant(
                $"{Ways},random_seed:{seed},max_time_in_seconds:{seconds:0.###},max_deterministic_time:{seconds:0.###}"
            ),
        };
        Tell(doing, null, null);
        cancel.ThrowIfCancellationRequested();
        using var told = new Told(this, doing);
        using var stopper = new Stopper(Solver, cancel);
        var status = Solver.Solve(model, told);
        Used += Solver.WallTime();
        Left -= Solver.WallTime();
        cancel.ThrowIfCancellationRequested();
        return status;
    }

    /// <inheritdoc/>
    public void Dispose() => Solver?.Dispose();

    private void Tell(string doing, double? value, double? bound, double more = 0) =>
        progress?.Report(new ArrangeProgress(doing, value, bound, Used + more));

    private sealed class Told(Search search, string doing) : CpSolverSolutionCallback
    {
        public override void OnSolutionCallback() => search.Tell(doing, ObjectiveValue(), BestObjectiveBound(), WallTime());
    }

    /// <summary>Stops a solver when it is asked to, again and again until it has: what is said before it has begun it does not hear.</summary>
    private sealed class Stopper : IDisposable
    {
        private const int EveryMilliseconds = 20;
        private readonly Lock gate = new();
        private readonly CancellationTokenRegistration registration;
        private bool over;

        public Stopper(CpSolver solver, CancellationToken cancel) =>
            registration = cancel.Register(() => _ = Task.Run(() => StopAsync(solver)));

        public void Dispose()
        {
            registration.Dispose();
            lock (gate)
            {
                over = true;
            }
        }

        private async Task StopAsync(CpSolver solver)
        {
            while (Stopped(solver))
            {
                await Task.Delay(EveryMilliseconds, CancellationToken.None).ConfigureAwait(false);
            }
        }

        private bool Stopped(CpSolver solver)
        {
            lock (gate)
            {
                if (!over)
                {
                    solver.StopSearch();
                }

                return !over;
            }
        }
    }
}
