namespace IronLoop.Storage.Archive;

/// <summary>An archive that is not taken, with the reason; nothing was changed.</summary>
public sealed class ArchiveException(string message, Exception? inner = null) : Exception(message, inner);
