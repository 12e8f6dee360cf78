// Lists what the program is made of beside its own code: each package that ships, with its version and its licence, read from the packages
// themselves as they were built in. A package that says no licence ends the build.
import { execFileSync } from "node:child_process";
import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";

const [, , server, client] = process.argv;

/** The server's packages, by what the build says it loads. */
function ofServer() {
  const cache = execFileSync(
    "dotnet",
    ["nuget", "locals", "global-packages", "--list"],
    { encoding: "utf8" },
  )
    .replace(/^.*global-packages:\s*/s, "")
    .trim();
  const { libraries } = JSON.parse(
    readFileSync(join(server, "IronLoop.Server.deps.json"), "utf8"),
  );
  return Object.entries(libraries)
    .filter(([, library]) => /^(package|runtimepack)$/.test(library.type))
    .map(([key, library]) => {
      // The framework, which is shipped along.
      const [name, version] = key.replace(/^runtimepack\./, "").split("/");
      const folder = join(
        cache,
        library.path ?? `${name}/${version}`.toLowerCase(),
      );
      const spec = readFileSync(
        join(folder, `${name.toLowerCase()}.nuspec`),
        "utf8",
      );
      const licence =
        /<license type="expression">([^<]+)</.exec(spec)?.[1] ??
        (/<license type="file">/.test(spec) ? "in the package" : undefined) ??
        /<licenseUrl>([^<]+)</.exec(spec)?.[1];
      return {
        name,
        version,
        licence,
        where: /<projectUrl>([^<]+)</.exec(spec)?.[1] ?? "",
      };
    });
}

/** The client's packages: those whose code stands in the bundle, and the fonts, which are no code. */
function ofClient() {
  const bundled = JSON.parse(
    readFileSync(join(client, "dist", "licences.json"), "utf8"),
  ).map((l) => l.name);
  const { dependencies } = JSON.parse(
    readFileSync(join(client, "package.json"), "utf8"),
  );
  const fonts = Object.keys(dependencies).filter((name) =>
    name.startsWith("@fontsource"),
  );
  return [...new Set([...bundled, ...fonts])].map((name) => {
    const about = JSON.parse(
      readFileSync(join(client, "node_modules", name, "package.json"), "utf8"),
    );
    return {
      name,
      version: about.version,
      licence: about.license,
      where: about.homepage ?? "",
    };
  });
}

const list = [...ofServer(), ...ofClient()].sort((a, b) =>
  a.name.localeCompare(b.name),
);
const without = list.filter((p) => !p.licence).map((p) => p.name);
if (without.length > 0 || list.length === 0) {
  console.error(`No licence is known of: ${without.join(", ") || "anything"}.`);
  process.exit(1);
}
if (!existsSync(join(client, "dist")))
  throw new Error("The client is not built.");
writeFileSync(
  join(client, "dist", "third-party.json"),
  `${JSON.stringify(list, null, 1)}\n`,
);
