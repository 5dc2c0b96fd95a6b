#include "base/day.h"

#include <fmt/format.h>

#include <chrono>

#include "base/text.h"

namespace zp {

std::optional<long> dayOf(std::string_view text) {
  if (text.size() < 10 || text[4] != '-' || text[7] != '-') return {};
  if (text.size() > 10 && text[10] != 'T' && text[10] != ' ') return {};
  for (const size_t i : {0, 1, 2, 3, 5, 6, 8, 9})
    if (text[i] < '0' || text[i] > '9') return {};
  const auto year = parseInteger(text.substr(0, 4)), month = parseInteger(text.substr(5, 2)),
             day = parseInteger(text.substr(8, 2));
  if (!year || !month || !day) return {};
  const std::chrono::year_month_day date{std::chrono::year(static_cast<int>(*year)),
                                         std::chrono::month(static_cast<unsigned>(*month)),
                                         std::chrono::day(static_cast<unsigned>(*day))};
  if (!date.ok()) return {};
  return std::chrono::sys_days(date).time_since_epoch().count();
}

std::string dateOf(long day) {
  const std::chrono::year_month_day date{std::chrono::sys_days(std::chrono::days(day))};
  return fmt::format("{:04}-{:02}-{:02}", static_cast<int>(date.year()),
                     static_cast<unsigned>(date.month()), static_cast<unsigned>(date.day()));
}

}  // namespace zp
