using Microsoft.CodeAnalysis;
using Microsoft.CodeAnalysis.CSharp;
using Microsoft.CodeAnalysis.CSharp.Syntax;

namespace IronLoop.Mutants;

/// <summary>A fault that can be put into the code: one small thing said otherwise than it is.</summary>
/// <param name="File">The file, from the core's folder.</param>
/// <param name="Line">Its line, from 1.</param>
/// <param name="At">Where the faulty piece stands in the file.</param>
/// <param name="Instead">What stands there instead.</param>
/// <param name="Kind">What is turned, so that the sample can be told by kinds.</param>
internal sealed record Fault(string File, int Line, Microsoft.CodeAnalysis.Text.TextSpan At, string Instead, string Kind)
{
    /// <summary>What stood there.</summary>
    public required string Was { get; init; }

    /// <summary>Whether it is a statement, which is left out; else an expression, which is another.</summary>
    public bool IsStatement { get; init; }
}

/// <summary>Finds every fault that a file could have.</summary>
internal sealed class Faults(string file) : CSharpSyntaxWalker
{
    // Words are no rule: they are held by the step lists that are read aloud.
    private static readonly Dictionary<SyntaxKind, (string Sign, string Kind)[]> Signs = new()
    {
        [SyntaxKind.LessThanExpression] = [("<=", "boundary"), (">", "direction")],
        [SyntaxKind.LessThanOrEqualExpression] = [("<", "boundary"), (">=", "direction")],
        [SyntaxKind.GreaterThanExpression] = [(">=", "boundary"), ("<", "direction")],
        [SyntaxKind.GreaterThanOrEqualExpression] = [(">", "boundary"), ("<=", "direction")],
        [SyntaxKind.EqualsExpression] = [("!=", "equality")],
        [SyntaxKind.NotEqualsExpression] = [("==", "equality")],
        [SyntaxKind.AddExpression] = [("-", "arithmetic")],
        [SyntaxKind.SubtractExpression] = [("+", "arithmetic")],
        [SyntaxKind.MultiplyExpression] = [("/", "arithmetic")],
        [SyntaxKind.DivideExpression] = [("*", "arithmetic")],
        [SyntaxKind.ModuloExpression] = [("*", "arithmetic")],
        [SyntaxKind.LogicalAndExpression] = [("||", "logic")],
        [SyntaxKind.LogicalOrExpression] = [("&&", "logic")],
    };

    private static readonly Dictionary<string, string> Words = new(StringComparer.Ordinal)
    {
        ["Min"] = "Max",
        ["Max"] = "Min",
        ["MinBy"] = "MaxBy",
        ["MaxBy"] = "MinBy",
        ["First"] = "Last",
        ["FirstOrDefault"] = "LastOrDefault",
        ["Last"] = "First",
        ["LastOrDefault"] = "FirstOrDefault",
        ["Any"] = "All",
        ["All"] = "Any",
        ["OrderBy"] = "OrderByDescending",
        ["OrderByDescending"] = "OrderBy",
        ["ThenBy"] = "ThenByDescending",
        ["ThenByDescending"] = "ThenBy",
        ["Floor"] = "Ceiling",
        ["Ceiling"] = "Floor",
        ["Skip"] = "Take",
        ["Take"] = "Skip",
    };

    public List<Fault> Found { get; } = [];

    public override void VisitBinaryExpression(BinaryExpressionSyntax node)
    {
        if (Signs.TryGetValue(node.Kind(), out var turns) && MayBeTwice(node) && !IsText(node))
            foreach (var (sign, kind) in turns)
                Add(node, $"{node.Left.ToFullString()}{sign} {node.Right.ToFullString()}", kind);
        base.VisitBinaryExpression(node);
    }

    public override void VisitPrefixUnaryExpression(PrefixUnaryExpressionSyntax node)
    {
        if (node.IsKind(SyntaxKind.LogicalNotExpression) && MayBeTwice(node))
            Add(node, node.Operand.ToFullString(), "negation");
        if (node.IsKind(SyntaxKind.UnaryMinusExpression) && node.Operand is not LiteralExpressionSyntax && MayBeTwice(node))
            Add(node, node.Operand.ToFullString(), "negation");
        base.VisitPrefixUnaryExpression(node);
    }

    public override void VisitConditionalExpression(ConditionalExpressionSyntax node)
    {
        if (MayBeTwice(node))
            Add(node, $"({node.Condition}) ? ({node.WhenFalse}) : ({node.WhenTrue})", "choice");
        base.VisitConditionalExpression(node);
    }

    public override void VisitIfStatement(IfStatementSyntax node)
    {
        if (MayBeTwice(node.Condition))
            Add(node.Condition, $"!({node.Condition})", "choice");
        base.VisitIfStatement(node);
    }

    public override void VisitLiteralExpression(LiteralExpressionSyntax node)
    {
        if (IsConstant(node))
            return;
        if (node.IsKind(SyntaxKind.NumericLiteralExpression))
            Add(node, $"({node} + 1)", "number");
        else if (node.IsKind(SyntaxKind.TrueLiteralExpression))
            Add(node, "false", "truth");
        else if (node.IsKind(SyntaxKind.FalseLiteralExpression))
            Add(node, "true", "truth");
    }

    public override void VisitInvocationExpression(InvocationExpressionSyntax node)
    {
        if (node.Expression is MemberAccessExpressionSyntax { Name: IdentifierNameSyntax name } access && Words.TryGetValue(name.Identifier.Text, out var other) && MayBeTwice(node)
            && !(other == "All" && node.ArgumentList.Arguments.Count == 0))
            Add(node, $"{access.Expression.ToFullString()}.{other}{node.ArgumentList.ToFullString()}", "method");
        base.VisitInvocationExpression(node);
    }

    public override void VisitExpressionStatement(ExpressionStatementSyntax node)
    {
        // What a name needs to have a value is no statement that can be left out.
        if (node.Expression is InvocationExpressionSyntax && MayBeTwice(node))
            Found.Add(new Fault(file, Line(node), node.Span, ";", "statement") { Was = node.ToString(), IsStatement = true });
        base.VisitExpressionStatement(node);
    }

    private void Add(ExpressionSyntax node, string instead, string kind)
    {
        if (!IsConstant(node))
            Found.Add(new Fault(file, Line(node), node.Span, instead, kind) { Was = node.ToString() });
    }

    private static int Line(SyntaxNode node) => node.GetLocation().GetLineSpan().StartLinePosition.Line + 1;

    /// <summary>A name that is made within would be made twice.</summary>
    private static bool MayBeTwice(SyntaxNode node) =>
        !node.DescendantNodesAndSelf().Any(n => n is SingleVariableDesignationSyntax or AwaitExpressionSyntax or ThrowExpressionSyntax or StackAllocArrayCreationExpressionSyntax);

    private static bool IsText(BinaryExpressionSyntax node) =>
        node.IsKind(SyntaxKind.AddExpression) && node.DescendantNodesAndSelf().Any(n => n is InterpolatedStringExpressionSyntax || n.IsKind(SyntaxKind.StringLiteralExpression) || n.IsKind(SyntaxKind.CharacterLiteralExpression));

    /// <summary>Where only a constant may stand, nothing can be chosen at run time.</summary>
    private static bool IsConstant(SyntaxNode node) => node.Ancestors().Any(a => a is AttributeSyntax or ParameterSyntax or PatternSyntax or EnumMemberDeclarationSyntax or CaseSwitchLabelSyntax or WhenClauseSyntax { Parent: null }
        || a is FieldDeclarationSyntax field && field.Modifiers.Any(SyntaxKind.ConstKeyword)
        || a is LocalDeclarationStatementSyntax local && local.Modifiers.Any(SyntaxKind.ConstKeyword)
        || a is InterpolationAlignmentClauseSyntax or InterpolationFormatClauseSyntax or GlobalStatementSyntax);
}
