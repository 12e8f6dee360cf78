using IronLoop.Core.Jobs;

namespace IronLoop.Core.Tests.Jobs;

public class ReferralTests
{
    [Fact]
    public void The_owner_is_told_each_reason_once_and_what_to_do()
    {
        var note = Referral.Note([OutsideCraft.Stopped, OutsideCraft.WaterInside, OutsideCraft.Stopped]);
        note.ShouldBe("There is water inside; the sooner it is dried and cleaned, the better. The movement has stopped. "
            + "Please let a watchmaker see it first; we fit the band afterwards.");
    }

    [Fact]
    public void Doubt_alone_is_reason_enough() => Referral.Note([]).ShouldContain("would rather a watchmaker looked at this");

    [Fact]
    public void Every_reason_has_a_sentence_of_its_own() =>
        Enum.GetValues<OutsideCraft>().Select(r => Referral.Note([r])).ShouldBeUnique();
}
