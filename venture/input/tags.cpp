#include <venture/input/tags.hpp>

#include <venture/input/key_shorthand.hpp>

namespace venture::input {

using namespace declare; // NOLINT(google-build-using-namespace): words that only declare keys

const RecordSpec& TagPrefixInput::spec()
{
    using T = TagPrefixInput;
    static const RecordSpec all = RecordSpec::of<T>({
        {must(text("kind", "of unit or plant")), &T::kind},
        text_key("prefix", &T::prefix, "letters that stand for it: \"HK\"", true),
        note_key<T>(),
    });
    return all;
}

const RecordSpec& TagsInput::spec()
{
    using T = TagsInput;
    static const RecordSpec all = RecordSpec::of<T>(
        {
            text_key("rule", &T::rule,
                     "how new tags are made of {prefix}, {storey}, {place} (room or plant) and {number}; "
                     "\"{prefix}-{storey}-{number}\" unless typed; issued ones stay as they are"),
            {otherwise(whole(number("digits", Kind::number, 1, 6, "of numbers, filled with zeros")), 2.0, "01"),
             &T::digits},
            note_key<T>(),
        },
        {{"prefix", &T::prefixes}});
    return all;
}

} // namespace venture::input
