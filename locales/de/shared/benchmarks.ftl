### What keeps a goal from being shown.

benchmarks-no-milestone = „{ $skill }“ soll bis { $stage } kommen, und kein Meilenstein sagt, woran man das sieht.
benchmarks-not-reached = „{ $milestone }“ kann nicht gezeigt werden: Der Plan bringt „{ $skill }“ nicht bis { $stage }.
benchmarks-no-session = „{ $milestone }“ braucht den Test „{ $test }“, und keine Einheit nach dem Üben hat ihn.
benchmarks-no-look = „{ $milestone }“ soll an { $asks ->
    [one] einem Tag
   *[other] { $asks } Tagen
} gesehen werden, und der Plan hat { $days ->
    [0] keinen
    [one] nur einen
   *[other] nur { $days }
}, an dem man darauf achten kann.
benchmarks-few-dates = „{ $milestone }“ braucht den Test „{ $test }“ an { $asks } Tagen, und der Plan hat { $dates }.
benchmarks-too-early = „{ $milestone }“: Der Test „{ $test }“ ist in Einheit { $session }, bevor „{ $skill }“ bis { $stage } gekommen ist.
benchmarks-no-standard = „{ $milestone }“ verlangt ein Niveau in „{ $test }“, und diese Altersgruppe hat keinen Standard dafür.
benchmarks-taken-alone = In „{ $milestone }“ geht es um { $stage }, und nur ein Test ohne Gegner zeigt es.
benchmarks-untaught = „{ $milestone }“ gehört zu dieser Altersgruppe, und niemand lehrt „{ $skill }“ in diesem Jahr.
