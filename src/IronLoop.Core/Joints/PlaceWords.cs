namespace IronLoop.Core.Joints;

/// <summary>Places in the trade's words.</summary>
public static class PlaceWords
{
    /// <summary>What a place is called after "in" or "into".</summary>
    public static string Of(Place place) => place switch
    {
        Place.Watch => "the watch",
        Place.Tray => "the tray",
        Place.Drawer => "the drawer",
        Place.Bag => "the bag",
        Place.Loan => "what is lent",
        Place.Thrown => "the waste",
        Place.Lost => "what is lost",
        _ => throw new ArgumentOutOfRangeException(nameof(place), place, "Not a place."),
    };
}
