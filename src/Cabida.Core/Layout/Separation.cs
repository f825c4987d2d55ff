namespace Cabida.Core.Layout;

/// <summary>
/// Things that overlap, moved one after another to where they overlap least, until none does; pairs that keep overlapping come to weigh
/// more, so that no arrangement is stuck in for long (guided local search; Umetani et al. 2009, Gardeyn, Vanden Berghe and Wauters 2025).
/// </summary>
internal sealed class Separation
{
    private const int Anywhere = 30;
    private const int AtCorners = 8;
    private const int Around = 16;
    private const int Refined = 3;
    private const double SpreadOfTurns = 12;
    private const int MostIdle = 25;
    private const double Slack = 1e-9;
    private const int Strikes = 2;

    /// <summary>What is not less than this share of the least overlap is no gain worth waiting for more.</summary>
    private const double Gain = 0.98;

    private readonly LayProblem problem;
    private readonly SearchRandom random;
    private readonly int count;
    private readonly PosedShape[] grown;
    private readonly PosedShape[] own;
    private readonly PosedShape[] triedGrown;
    private readonly PosedShape[] triedOwn;
    private readonly Overlaps overlaps;
    private readonly List<LoadMembers> members = [];
    private readonly bool turnsFreely;
    private readonly Turned[] turns;

    /// <summary>What is kept together stays on its load, so that it stays together.</summary>
    private readonly bool[] staysOn;
    private readonly long mostMoves;
    private double limit;

    public Separation(LayProblem problem, SearchRandom random, long most = long.MaxValue)
    {
        mostMoves = most;
        (this.problem, this.random, count) = (problem, random, problem.Things.Count);
        turnsFreely = problem.Terms.Turning == LayTurning.Any;
        staysOn = [.. problem.Things.Select(t => t.Item.Group.Length > 0)];
        turns = [.. LayProblem.TurnsOf(problem.Terms.Turning).Select(t => new Turned(t))];
        grown = [.. problem.Things.Select(t => new PosedShape(t.Grown))];
        triedGrown = [.. problem.Things.Select(t => new PosedShape(t.Grown))];
        // What lies in the box of a ground that is a box is within it: then its own shape is never looked at.
        var boxes = problem.Grounds.All(g => g.IsBox);
        own = [.. problem.Things.Select((t, i) => boxes || ReferenceEquals(t.Own, t.Grown) ? grown[i] : new PosedShape(t.Own))];
        triedOwn = [.. problem.Things.Select((t, i) => ReferenceEquals(own[i], grown[i]) ? triedGrown[i] : new PosedShape(t.Own))];
        overlaps = new Overlaps(count);
        State = new LayState(problem);
    }

    /// <summary>How things lie now.</summary>
    public LayState State { get; private set; }

    /// <summary>How many moves were made in all.</summary>
    public long Moves { get; private set; }

    /// <summary>
    /// Tries to bring a state to where nothing overlaps and the last load ends at a limit. Things that lie beyond are pushed back.
    /// </summary>
    /// <param name="from">Where to begin; every thing that takes part lies on a load.</param>
    /// <param name="most">How far up the last load may be used, from the foot of its ground.</param>
    /// <param name="stop">Ends it.</param>
    /// <returns>Whether it was done.</returns>
    public bool Try(LayState from, double most, CancellationToken stop)
    {
        limit = most;
        Take(from);
        if (Enumerable.Range(0, count).Any(i => problem.Things[i].Item.Pinned is not null && Beyond(i, SpotOf(i)) > 0))
        {
            return false;
        }

        overlaps.WeighAlike();
        var (best, least) = (State.Copy(), overlaps.Total());
        for (var strike = 0; strike < Strikes && least > 0; strike++)
        {
            var (idle, leastThen) = (0, least);
            while (idle < MostIdle)
            {
                stop.ThrowIfCancellationRequested();
                MoveAll(stop);
                var total = overlaps.Total();
                if (total == 0)
                {
                    return true;
                }

                if (total < least)
                {
                    idle = total < Gain * least ? 0 : idle + 1;
                    (best, least) = (State.Copy(), total);
                }
                else
                {
                    idle++;
                }

                overlaps.Weigh();
            }

            strike = least < Gain * leastThen ? -1 : strike;
            Take(best);
        }

        return least == 0;
    }

    /// <summary>Takes a state over and works all overlaps out.</summary>
    private void Take(LayState state)
    {
        State = state.Copy();
        members.Clear();
        members.AddRange(State.Places.Select(_ => new LoadMembers()));
        for (var i = 0; i < count; i++)
        {
            if (State.Load[i] < 0)
            {
                continue;
            }

            if (problem.Things[i].Item.Pinned is null)
            {
                var range = RangeOf(i, State.Load[i], State.Turn[i]);
                // What does not go under the limit at all stands on the ground, beyond it.
                State.X[i] = Math.Clamp(State.X[i], range.MinX, Math.Max(range.MinX, range.MaxX));
                State.Y[i] = Math.Clamp(State.Y[i], range.MinY, Math.Max(range.MinY, range.MaxY));
            }

            Pose(grown[i], own[i], SpotOf(i));
            members[State.Load[i]].Add(i, grown[i]);
        }

        overlaps.Clear();
        for (var i = 0; i < count; i++)
        {
            if (State.Load[i] >= 0)
            {
                Measure(i);
            }
        }
    }

    private Spot SpotOf(int i) => new(State.Load[i], new Turned(State.Turn[i]), State.X[i], State.Y[i]);

    private static void Pose(PosedShape grown, PosedShape own, Spot spot)
    {
        grown.Pose(spot.Turn.Sin, spot.Turn.Cos, spot.X, spot.Y);
        if (!ReferenceEquals(own, grown))
        {
            own.Pose(spot.Turn.Sin, spot.Turn.Cos, spot.X, spot.Y);
        }
    }

    /// <summary>Works out what a thing overlaps.</summary>
    private void Measure(int i)
    {
        overlaps.SetGround(i, problem.Things[i].Item.Pinned is null ? Standing(own[i], State.Load[i]) + Beyond(i, SpotOf(i)) : 0);
        for (var j = 0; j < count; j++)
        {
            if (j == i)
            {
                continue;
            }

            var amount =
                State.Load[j] == State.Load[i] && !BothPinned(i, j) && Collision.Of(grown[i], grown[j])
                    ? Collision.Amount(grown[i], grown[j])
                    : 0;
            overlaps.Set(i, j, amount);
        }
    }

    /// <summary>How far a shape stands out of the ground of a load.</summary>
    private double Standing(PosedShape shape, int load) =>
        State.GroundOf(load) is var ground && ground.IsLeft(shape) ? ground.Amount(shape) : 0;

    /// <summary>How far a thing stands beyond the limit of its load, as overlaps are measured.</summary>
    private double Beyond(int i, Spot spot)
    {
        if (spot.Load != State.Places.Count - 1)
        {
            return 0;
        }

        var by = spot.Y - RangeOf(i, spot.Load, spot.Turn.Degrees).MaxY;
        return by > Slack ? (by + problem.Things[i].Own.Diameter) * problem.Things[i].Own.Bulk : 0;
    }

    private bool BothPinned(int i, int j) => problem.Things[i].Item.Pinned is not null && problem.Things[j].Item.Pinned is not null;

    private void MoveAll(CancellationToken stop)
    {
        var order = Enumerable
            .Range(0, count)
            .Where(i => State.Load[i] >= 0 && problem.Things[i].Item.Pinned is null && overlaps.Any(i))
            .ToList();
        random.Shuffle(order);
        foreach (var i in order)
        {
            if (overlaps.Any(i))
            {
                stop.ThrowIfCancellationRequested();
                Move(i);
            }
        }
    }

    /// <summary>Moves a thing to the best of many places, the better of them refined.</summary>
    private void Move(int i)
    {
        if (++Moves > mostMoves)
        {
            throw new OperationCanceledException();
        }

        var best = new BestSpots(Refined);
        var now = SpotOf(i);
        best.Add(now, AmountAt(i, now, double.MaxValue) + (overlaps.GroundWeight(i) * Beyond(i, now)));
        for (var n = 0; n < Anywhere; n++)
        {
            var load = staysOn[i] ? now.Load : random.Below(members.Count);
            var turn = turnsFreely ? new Turned(random.Share() * 360) : turns[random.Below(turns.Length)];
            var range = RangeOf(i, load, turn.Degrees);
            if (range.IsNone)
            {
                continue;
            }

            var (x, y) = (random.Share() * (range.MaxX - range.MinX), random.Share() * (range.MaxY - range.MinY));
            Look(i, new Spot(load, turn, range.MinX + x, range.MinY + y), best);
        }

        var spread = problem.Things[i].Own.Diameter / 4;
        for (var n = 0; n < Around; n++)
        {
            var turn =
                turnsFreely ? new Turned(now.Turn.Degrees + (random.Normal() * SpreadOfTurns))
                : random.Below(4) == 0 ? turns[random.Below(turns.Length)]
                : now.Turn;
            var range = RangeOf(i, now.Load, turn.Degrees);
            if (range.IsNone)
            {
                continue;
            }

            Look(i, range.Within(new Spot(now.Load, turn, now.X + (random.Normal() * spread), now.Y + (random.Normal() * spread))), best);
        }

        for (var n = 0; n < AtCorners; n++)
        {
            var load = staysOn[i] ? now.Load : random.Below(members.Count);
            var turn = turnsFreely ? now.Turn : turns[random.Below(turns.Length)];
            var range = RangeOf(i, load, turn.Degrees);
            if (!range.IsNone && AtCorner(i, load, turn, range) is { } spot2 && range.Holds(spot2))
            {
                Look(i, spot2, best);
            }
        }

        var (spot, least) = (now, double.MaxValue);
        foreach (var (begun, amount) in best.All)
        {
            var (there, left) = Descend(i, begun, amount);
            if (left < least)
            {
                (spot, least) = (there, left);
            }

            if (least == 0)
            {
                break;
            }
        }

        Put(i, spot);
    }

    /// <summary>A place at which a sharp corner of a thing meets that of another, or a corner of the ground's box.</summary>
    private Spot? AtCorner(int i, int load, Turned turn, SpotRange range)
    {
        var mine = problem.Things[i].Grown.Sharp;
        var j = members[load].Any(random);
        if (mine.Length == 0 || j < 0 || j == i || random.Below(members[load].Count) == 0)
        {
            return new Spot(load, turn, random.Below(2) == 0 ? range.MinX : range.MaxX, random.Below(2) == 0 ? range.MinY : range.MaxY);
        }

        var theirs = problem.Things[j].Grown.Sharp;
        if (theirs.Length == 0)
        {
            return null;
        }

        var at = SpotOf(j).Of(theirs[random.Below(theirs.Length)]);
        var own = new Spot(0, turn, 0, 0).Of(mine[random.Below(mine.Length)]);
        return new Spot(load, turn, at.X - own.X, at.Y - own.Y);
    }

    private void Look(int i, Spot spot, BestSpots best) => best.Add(spot, AmountAt(i, spot, best.Worst));

    private void Put(int i, Spot spot)
    {
        if (spot.Load != State.Load[i])
        {
            members[State.Load[i]].Remove(i);
        }

        Pose(grown[i], own[i], spot);
        if (spot.Load != State.Load[i])
        {
            members[spot.Load].Add(i, grown[i]);
        }
        else
        {
            members[spot.Load].Moved(i, grown[i]);
        }

        (State.Load[i], State.Turn[i], State.X[i], State.Y[i]) = (spot.Load, spot.Turn.Degrees, spot.X, spot.Y);
        Measure(i);
    }

    /// <summary>
    /// Goes on from a place in steps across, up and slanting, which grow where they help and shrink where they do not.
    /// </summary>
    private (Spot Spot, double Amount) Descend(int i, Spot spot, double amount)
    {
        var diameter = problem.Things[i].Own.Diameter;
        var step = diameter / 40;
        var turnStep = 4.0;
        var least = diameter / 8000;
        var range = RangeOf(i, spot.Load, spot.Turn.Degrees);
        while (step > least && amount > 0)
        {
            var direction = random.Below(turnsFreely ? 5 : 4);
            var better = false;
            for (var way = -1; way <= 1 && !better; way += 2)
            {
                var (dx, dy) = direction switch
                {
                    0 => (step, 0.0),
                    1 => (0.0, step),
                    2 => (step, step),
                    3 => (step, -step),
                    _ => (0.0, 0.0),
                };
                var next = spot with { X = spot.X + (way * dx), Y = spot.Y + (way * dy) };
                var within = range;
                if (direction == 4)
                {
                    next = next with { Turn = new Turned(spot.Turn.Degrees + (way * turnStep)) };
                    within = RangeOf(i, spot.Load, next.Turn.Degrees);
                }

                if (within.IsNone)
                {
                    continue;
                }

                next = within.Within(next);
                var there = AmountAt(i, next, amount);
                if (there < amount)
                {
                    (spot, amount, range, better) = (next, there, within, true);
                }
            }

            if (direction == 4)
            {
                turnStep *= better ? 1.1 : 0.5;
            }
            else
            {
                step *= better ? 1.1 : 0.6;
            }
        }

        return (spot, amount);
    }

    /// <summary>The weighed overlap of a thing at a place; more than <paramref name="most"/> says only that it is more.</summary>
    private double AmountAt(int i, Spot spot, double most)
    {
        var (shape, shapeOwn) = (triedGrown[i], triedOwn[i]);
        Pose(shape, shapeOwn, spot);
        var sum = overlaps.GroundWeight(i) * Standing(shapeOwn, spot.Load);
        var there = members[spot.Load];
        for (var row = 0; sum < most && there.Meeting(row, shape, out var met); row++)
        {
            while (met != 0 && sum < most)
            {
                var j = there.Next(row, ref met);
                if (j != i && Collision.Of(shape, grown[j]))
                {
                    sum += overlaps.Weight(i, j) * Collision.Amount(shape, grown[j]);
                }
            }
        }

        return sum;
    }

    /// <summary>Where the middle of a thing may lie, so that its box lies in that of the ground and within the limit.</summary>
    private SpotRange RangeOf(int i, int load, double turn)
    {
        var (box, extent) = (State.GroundOf(load).Box, problem.Things[i].ExtentAt(turn));
        var top = load == State.Places.Count - 1 ? Math.Min(box.MaxY, box.MinY + limit) : box.MaxY;
        return new SpotRange(box.MinX - extent.MinX, box.MinY - extent.MinY, box.MaxX - extent.MaxX, top - extent.MaxY);
    }
}
