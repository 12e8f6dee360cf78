using IronLoop.Core.Bands;

namespace IronLoop.Core.Shelf;

/// <summary>A band in stock, or an owner's own.</summary>
/// <param name="Id">Its number.</param>
/// <param name="Article">Article number.</param>
/// <param name="Name">What it is called.</param>
/// <param name="OwnerClientId">Whose own it is; null for stock.</param>
/// <param name="Finish">Finish of its metal, or of its leather.</param>
/// <param name="Colour">Colour.</param>
/// <param name="PriceCents">Price in cents.</param>
/// <param name="InStock">How many are in stock.</param>
/// <param name="Band">What it is.</param>
public sealed record StockBand(
    long Id, string Article, string Name, long? OwnerClientId, string Finish, string Colour, long PriceCents, int InStock, Band Band);
