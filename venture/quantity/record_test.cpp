#include <venture/quantity/record.hpp>

#include <gtest/gtest.h>

namespace venture::quantity {
namespace {

struct Window {
    Given<std::string> on;
    Given<double> width, area;
    [[nodiscard]] static const RecordSpec& spec()
    {
        using T = Window;
        static const RecordSpec all = RecordSpec::of<T>(
            {{{.name = "on", .text = "face"}, &T::on},
             {{.name = "width", .text = "of it", .kind = Kind::length}, &T::width},
             {{.name = "area", .text = "instead", .kind = Kind::area, .instead_of = {"width"}}, &T::area}});
        return all;
    }
};

struct Habits {
    Given<double> people;
    [[nodiscard]] static const RecordSpec& spec()
    {
        using T = Habits;
        static const RecordSpec all = RecordSpec::of<T>({{{.name = "people", .text = "how many"}, &T::people}});
        return all;
    }
};

struct Hut {
    Given<std::string> name, kind;
    Given<QuantityList> size;
    Given<double> height;
    Habits habits{};
    std::vector<Window> windows{};
    [[nodiscard]] static const RecordSpec& spec()
    {
        using T = Hut;
        static const RecordSpec all =
            RecordSpec::of<T>({{{.name = "name", .text = "of it"}, &T::name},
                               {{.name = "kind", .text = "what it is", .choices = {"barn", "shed"}}, &T::kind},
                               {{.name = "size", .text = "of it"}, &T::size},
                               {{.name = "height",
                                 .text = "of it",
                                 .default_source = "custom",
                                 .default_by = {"kind", {{"barn", 5.0}, {"shed", 2.0}}}},
                                &T::height}},
                              {{"window", &T::windows}})
                .with_part(&T::habits);
        return all;
    }
};

TEST(Records, ShowMembersByTheirKeysThoseOfPartsToo)
{
    Hut hut;
    hut.name = "Hut";
    hut.habits.people = 3.0;
    const Record record{hut};
    EXPECT_EQ(record.spec().names(), (std::vector<std::string>{"name", "kind", "size", "height", "people", "window"}));
    EXPECT_EQ(*record.at<double>(record.spec().key_called("people")), 3.0);
    record.at<QuantityList>(record.spec().key_called("size")) = QuantityList{2.0, 3.0};
    EXPECT_EQ((*hut.size)[1], 3.0);
    EXPECT_EQ(spec_of(&Hut::height).name, "height");
    EXPECT_EQ(spec_of(&Habits::people).name, "people");
    EXPECT_EQ(record.find<double>("name"), nullptr); // of another shape
    EXPECT_EQ(record.find<double>("depth"), nullptr);
}

TEST(Records, GrowAndAreFoundByName)
{
    Hut hut;
    const Nested& windows = *Hut::spec().find_nested("window");
    const Records list = Record{hut}.records(windows);
    list.append().at<std::string>(windows.spec().key_called("on")) = "south";
    EXPECT_EQ(label_of(list[0], 0), "south");
    (void)list.append();
    EXPECT_EQ(label_of(list[1], 1), "2");
    EXPECT_EQ(hut.windows.size(), 2U);
    list.append_copy(list[0]);
    EXPECT_EQ(*hut.windows[2].on, "south");
    int seen = 0;
    for_each_record_in(ConstRecord{hut}, [&](const ConstRecord&) { ++seen; });
    EXPECT_EQ(seen, 4);
    EXPECT_FALSE(find_named(list, "south").has_value()); // they bear no name
}

TEST(Records, TakeWhatTheyDoNotSayThemselvesInAnyWay)
{
    Window own, other;
    other.on = "north";
    other.width = 1.0;
    other.area = 2.0;
    const auto taken = [&] {
        std::vector<std::string_view> names;
        for (const Key* key : keys_to_take(own, other)) names.push_back(key->spec.name);
        return names;
    };
    EXPECT_EQ(taken(), (std::vector<std::string_view>{"on", "width", "area"}));
    own.width = 1.5;
    EXPECT_EQ(taken(), (std::vector<std::string_view>{"on"}));
    own.width = {};
    own.area = 3.0;
    EXPECT_EQ(taken(), (std::vector<std::string_view>{"on"}));
    own.on.refused = true; // something was typed
    EXPECT_TRUE(taken().empty());
}

TEST(Records, HaveDefaultsByTheirOwnWords)
{
    Hut hut;
    const KeySpec& height = spec_of(&Hut::height);
    EXPECT_FALSE(default_number(hut, height).has_value());
    hut.kind = "barn";
    EXPECT_EQ(default_number(hut, height), 5.0);
    hut.kind = "shed";
    EXPECT_EQ(default_number(hut, height), 2.0);
}

} // namespace
} // namespace venture::quantity
