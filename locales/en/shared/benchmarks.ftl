### What keeps a goal from being shown.

benchmarks-no-milestone = “{ $skill }” is to come to { $stage }, and no milestone says what that looks like.
benchmarks-not-reached = “{ $milestone }” cannot be shown: the plan does not complete “{ $skill }” at { $stage }.
benchmarks-no-session = “{ $milestone }” asks for the test “{ $test }”, and no session after the practice has it.
benchmarks-no-look = “{ $milestone }” is to be seen on { $asks ->
    [one] one day
   *[other] { $asks } days
}, and the plan has { $days ->
    [0] none
    [one] only one
   *[other] only { $days }
} on which to look for it.
benchmarks-few-dates = “{ $milestone }” asks for the test “{ $test }” on { $asks } dates, and the plan has { $dates }.
benchmarks-too-early = “{ $milestone }”: the test “{ $test }” is in session { $session }, before “{ $skill }” has come to { $stage }.
benchmarks-no-standard = “{ $milestone }” asks for a level in “{ $test }”, and this band has no standard for it.
benchmarks-taken-alone = “{ $milestone }” is about { $stage }, and only a test taken alone shows it.
benchmarks-untaught = “{ $milestone }” belongs to this band, and nobody teaches “{ $skill }” this year.
