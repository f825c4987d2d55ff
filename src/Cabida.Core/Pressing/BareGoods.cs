using Cabida.Core.Blanks;

namespace Cabida.Core.Pressing;

/// <summary>Bare goods are pressed first, since damp and folds move the artwork (calculations 6.13): the product's own defaults.</summary>
public static class BareGoods
{
    /// <summary>Cloth, to drive out damp and press out folds; seconds.</summary>
    private const int Cloth = 5;

    /// <summary>What is rough or grained, such as wood, to drive out damp; seconds.</summary>
    private const int Rough = 10;

    /// <summary>For how long goods of a finish are pressed before anything lies on them; zero for what holds no damp.</summary>
    public static int Seconds(Finish finish) =>
        finish switch
        {
            Finish.Cloth => Cloth,
            Finish.Textured => Rough,
            _ => 0,
        };
}
