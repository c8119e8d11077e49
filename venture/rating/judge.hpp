#pragma once
/// Internal to rating: what a product is worth for what is asked.

#include <venture/rating/brackets.hpp>
#include <venture/rating/verdict.hpp>

namespace venture::rating {

using Worth = std::array<double, number_of_aims>;

struct Judged {
    Fails fails = Fails::nothing;
    double value = 0.0, limit = 0.0;
    bool of_other = false; ///< fails in what else is asked
    std::optional<Refusal> refusal{};
    Output one{}, other{};
    int count = 1;
    double fullness_of_one = 0.0; ///< of the harder of both services
    Worth worth{};
    [[nodiscard]] bool is_short() const
    {
        return fails == Fails::total || fails == Fails::sensible || fails == Fails::latent;
    }
    void fail(Fails in, double is, double may_be)
    {
        fails = in;
        value = is;
        limit = may_be;
    }
};

class Judge {
public:
    Judge(const Wish& wish, const Asked& asked, const std::optional<Asked>& also)
        : wish_{wish},
          asked_{asked},
          also_{also}
    {
    }

    /// What can be said without rating.
    [[nodiscard]] Judged by_label(const Label& label) const;

    [[nodiscard]] Judged of(const Product& product) const;

    /// The least that the first aim could count of a product whose output lies in a bracket; infinite: it cannot suffice.
    [[nodiscard]] double least_worth(const Label& label, const Bracket& b) const;
    /// Duty over capacity of one unit, at least and at most. What else is asked can only make it fuller.
    [[nodiscard]] std::pair<double, double> fullness_between(const Bracket& b) const;

    [[nodiscard]] bool is_before(const Worth& a, const Product& p, const Worth& b, const Product& q) const;
    [[nodiscard]] const Wish& wish() const { return wish_; }
    [[nodiscard]] const Asked& asked_for(const Judged& judged) const { return judged.of_other ? *also_ : asked_; }
    [[nodiscard]] const Asked& asked() const { return asked_; }

private:
    void take_worth(const Label& label, Judged& out) const;

    static bool rate(const Product& product, const Asked& asked, Output& into, Judged& out);

    /// As few as suffice, as far as they may.
    [[nodiscard]] int count_for(double fullness_of_one) const;

    void tell_what_is_short(Judged& out) const;

    void check_count(const Label& label, Judged& out) const;

    const Wish& wish_;
    const Asked& asked_;
    const std::optional<Asked>& also_;
};

} // namespace venture::rating
