namespace IronLoop.Core.Day;

/// <summary>A network of whole minutes, and the most that goes through it: by shortest ways, level by level.</summary>
internal sealed class Flow(int nodes)
{
    private readonly List<int> _to = [], _room = [];
    private readonly List<int>[] _from = [.. Enumerable.Range(0, nodes).Select(_ => new List<int>())];
    private int[] _level = [], _next = [];

    /// <summary>Lays a way.</summary>
    public void Way(int from, int to, int room)
    {
        _from[from].Add(_to.Count);
        _to.Add(to);
        _room.Add(room);
        _from[to].Add(_to.Count);
        _to.Add(from);
        _room.Add(0);
    }

    /// <summary>The most that goes from one node to another.</summary>
    public int Most(int source, int sink)
    {
        var sum = 0;
        while (Levels(source, sink))
        {
            _next = new int[_from.Length];
            while (Push(source, sink, int.MaxValue) is > 0 and var pushed)
                sum += pushed;
        }
        return sum;
    }

    private bool Levels(int source, int sink)
    {
        _level = new int[_from.Length];
        Array.Fill(_level, -1);
        _level[source] = 0;
        var waiting = new Queue<int>([source]);
        while (waiting.TryDequeue(out var node) && _level[sink] < 0)
            foreach (var way in _from[node])
                if (_room[way] > 0 && _level[_to[way]] < 0)
                {
                    _level[_to[way]] = _level[node] + 1;
                    waiting.Enqueue(_to[way]);
                }
        return _level[sink] >= 0;
    }

    private int Push(int node, int sink, int most)
    {
        if (node == sink)
            return most;
        for (; _next[node] < _from[node].Count; _next[node]++)
        {
            var way = _from[node][_next[node]];
            if (_room[way] == 0 || _level[_to[way]] != _level[node] + 1)
                continue;
            if (Push(_to[way], sink, Math.Min(most, _room[way])) is > 0 and var pushed)
            {
                _room[way] -= pushed;
                _room[way ^ 1] += pushed;
                return pushed;
            }
        }
        return 0;
    }
}
