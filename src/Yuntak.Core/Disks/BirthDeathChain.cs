using MathNet.Numerics.LinearAlgebra.Double;

namespace Yuntak.Core.Disks;

/// <summary>A group of disks that fail and are rebuilt one at a time: states 0 … p failed disks, data lost at p + 1.</summary>
internal static class BirthDeathChain
{
    /// <summary>
    /// The mean time until data is lost. With hᵢ the mean time from i to i + 1 failed disks, λᵢ = (n − i)·λ and one repair at a time at μ,
    /// λᵢ·hᵢ − μ·hᵢ₋₁ = 1; the times add up. The system has no cancellation, so it stays exact for rates many powers of ten apart.
    /// For p = 1 it is ((2n − 1)λ + μ) / (n(n − 1)λ²).
    /// </summary>
    /// <param name="disks">n.</param>
    /// <param name="survives">p, less than n.</param>
    /// <param name="failureRate">λ of one disk, an hour.</param>
    /// <param name="repairRate">μ, an hour.</param>
    /// <param name="batch">How many times as likely the others fail once one has, as disks of one batch may; 1 for independent disks.</param>
    /// <param name="failed">How many have failed already, at most p.</param>
    /// <returns>Hours.</returns>
    public static double MeanHoursToLoss(int disks, int survives, double failureRate, double repairRate, double batch = 1, int failed = 0)
    {
        var states = survives + 1;
        var system = DenseMatrix.Create(states, states, 0);
        for (var state = 0; state < states; state++)
        {
            system[state, state] = (disks - state) * failureRate * (state > 0 ? batch : 1);
            if (state > 0)
            {
                system[state, state - 1] = -repairRate;
            }
        }

        return system.Solve(DenseVector.Create(states, 1)).Skip(failed).Sum();
    }
}
