/**
 * The breed guide as a table: name | bitches kg | dogs kg | neck build | how easily it backs out | skull | coat | throat.
 *
 * Adult weights are the usual range. Neck: s slender, a average, h heavy. Backs out: e easily (the head hardly wider than the
 * neck), u as most do, r rarely. Skull: l long, m medium, f flat. Coat: smooth, short, double, long, curly, wire, hairless.
 * Throat: t toy breed throat, b breathing that bears no pressure, - nothing known. All of it from memory: a first guess, to be
 * marked as one, and never laid over a taped number.
 */
export const BREED_TABLE = `
Affenpinscher|3-4|3-4.5|a|u|f|wire|t
Afghan Hound|22-27|26-34|s|e|l|long|-
Airedale Terrier|18-23|23-29|a|u|l|wire|-
Akita|32-45|40-59|h|r|m|double|-
Alaskan Malamute|32-38|36-45|a|u|m|double|-
American Bulldog|27-40|34-54|h|r|m|smooth|-
American Cocker Spaniel|10-13|11-14|a|u|m|long|-
American Eskimo Dog|8-14|9-16|a|u|m|double|-
American Pit Bull Terrier|14-25|16-30|h|r|m|smooth|-
American Staffordshire Terrier|18-27|25-32|h|r|m|smooth|-
Appenzeller Sennenhund|22-28|25-32|a|u|m|double|-
Australian Cattle Dog|14-20|15-22|a|u|m|double|-
Australian Kelpie|12-18|14-21|a|u|m|double|-
Australian Shepherd|16-25|23-31|a|u|m|double|-
Australian Terrier|5-7|6-8|a|u|m|wire|-
Azawakh|15-20|20-25|s|e|l|smooth|-
Barbet|16-25|20-28|a|u|m|curly|-
Basenji|9-10|10-12|s|u|m|smooth|-
Basset Hound|20-27|23-30|h|u|l|smooth|-
Beagle|9-11|10-13|a|u|m|short|-
Bearded Collie|18-25|20-28|a|u|m|long|-
Beauceron|30-39|36-50|a|u|l|double|-
Bedlington Terrier|8-10|8-11|s|e|l|curly|-
Belgian Shepherd|20-27|25-32|a|u|l|double|-
Bernese Mountain Dog|36-48|39-55|h|u|m|double|-
Bichon Frisé|4-6|5-7|a|u|m|curly|t
Black and Tan Coonhound|29-36|32-45|a|u|l|short|-
Black Russian Terrier|40-50|50-60|h|r|m|wire|-
Bloodhound|36-45|41-50|h|u|l|short|-
Boerboel|50-70|60-85|h|r|m|smooth|-
Border Collie|13-19|15-22|a|u|m|double|-
Border Terrier|5-6.5|6-7.5|a|u|m|wire|-
Borzoi|25-40|34-48|s|e|l|long|-
Boston Terrier|5-10|6-11|a|u|f|smooth|b
Bouvier des Flandres|27-38|35-45|h|r|m|wire|-
Boxer|23-29|28-34|h|u|f|smooth|b
Bracco Italiano|25-36|30-40|a|u|l|short|-
Briard|23-34|30-42|a|u|l|long|-
Brittany|14-17|16-20|a|u|m|short|-
Bull Terrier|20-28|25-34|h|r|l|smooth|-
Bulldog|18-23|22-27|h|r|f|smooth|b
Bullmastiff|41-50|50-60|h|r|f|short|b
Cairn Terrier|5-7|6-8|a|u|m|wire|-
Cane Corso|38-46|44-52|h|r|m|short|-
Cardigan Welsh Corgi|11-15|13-18|a|u|m|double|-
Caucasian Shepherd Dog|45-65|50-80|h|r|m|double|-
Cavalier King Charles Spaniel|5-8|6-9|a|u|f|long|b
Chesapeake Bay Retriever|25-32|29-37|a|u|m|double|-
Chihuahua|1.5-2.8|1.6-3|s|u|m|smooth|t
Chinese Crested Dog|3-5.5|3.5-6|s|u|m|hairless|t
Chow Chow|20-27|25-32|h|u|m|double|-
Clumber Spaniel|25-30|29-36|h|u|m|long|-
Curly-coated Retriever|27-34|32-40|a|u|m|curly|-
Dachshund|7-11|8-13|a|u|l|smooth|-
Dachshund (miniature)|3.5-5|4-5.5|a|u|l|smooth|-
Dalmatian|20-27|25-32|a|u|m|smooth|-
Dobermann|30-37|36-45|a|u|l|smooth|-
Dogo Argentino|36-43|40-46|h|r|m|smooth|-
Dogue de Bordeaux|45-55|50-68|h|r|f|short|b
Drentse Patrijshond|20-28|22-33|a|u|m|long|-
Dutch Shepherd|20-27|24-32|a|u|m|short|-
English Cocker Spaniel|12-14|13-16|a|u|m|long|-
English Mastiff|54-77|73-100|h|r|m|short|-
English Setter|20-27|25-34|s|u|l|long|-
English Springer Spaniel|16-21|20-25|a|u|m|long|-
Entlebucher Mountain Dog|20-27|23-31|a|u|m|double|-
Eurasier|18-26|23-32|a|u|m|double|-
Field Spaniel|16-21|18-25|a|u|m|long|-
Finnish Spitz|7-10|12-15|a|u|m|double|-
Flat-coated Retriever|25-32|27-36|a|u|l|long|-
French Bulldog|8-12|9-14|h|r|f|smooth|b
German Pinscher|11-17|13-20|a|u|m|smooth|-
German Shepherd|22-32|30-40|a|u|m|double|-
German Shorthaired Pointer|20-27|25-32|a|u|m|short|-
German Wirehaired Pointer|23-30|27-34|a|u|m|wire|-
Giant Schnauzer|25-36|30-45|a|u|m|wire|-
Golden Retriever|25-30|29-34|a|u|m|double|-
Gordon Setter|20-27|25-36|a|u|l|long|-
Great Dane|45-60|54-82|a|u|l|smooth|-
Greater Swiss Mountain Dog|38-50|50-64|h|u|m|double|-
Greyhound|26-34|29-40|s|e|l|smooth|-
Griffon Bruxellois|3-5|3.5-5.5|a|u|f|wire|b
Harrier|18-25|20-29|a|u|m|short|-
Havanese|3.5-6|4-6.5|a|u|m|long|t
Hovawart|25-36|32-45|a|u|m|long|-
Ibizan Hound|18-23|21-27|s|e|l|smooth|-
Irish Setter|24-29|27-34|s|u|l|long|-
Irish Terrier|11-12|12-14|a|u|l|wire|-
Irish Wolfhound|41-55|54-70|s|e|l|wire|-
Italian Greyhound|3.5-5|3.6-6|s|e|l|smooth|t
Jack Russell Terrier|5-7|6-8|a|u|m|smooth|-
Jagdterrier|7-9|9-11|a|u|m|wire|-
Japanese Chin|1.5-3.5|2-4|s|u|f|long|b
Kangal Shepherd Dog|41-55|50-66|h|r|m|double|-
Keeshond|14-18|16-20|a|u|m|double|-
Kerry Blue Terrier|13-17|15-18|a|u|l|curly|-
Kooikerhondje|8-11|9-13|a|u|m|long|-
Kuvasz|32-42|45-55|h|u|m|double|-
Labrador Retriever|25-32|29-36|a|u|m|double|-
Lagotto Romagnolo|11-14|13-16|a|u|m|curly|-
Lakeland Terrier|6-8|7-9|a|u|l|wire|-
Leonberger|41-59|48-75|h|u|m|double|-
Lhasa Apso|5-6.5|6-8|a|u|f|long|b
Maltese|2-3.5|2.5-4|s|u|m|long|t
Manchester Terrier|5-8|6-10|s|u|l|smooth|-
Miniature Bull Terrier|8-13|10-16|h|r|l|smooth|-
Miniature Pinscher|3.5-5|4-6|s|u|m|smooth|t
Miniature Schnauzer|5-7|6-9|a|u|m|wire|-
Mudi|8-11|11-13|a|u|m|curly|-
Neapolitan Mastiff|50-60|60-70|h|r|m|short|b
Newfoundland|45-55|60-70|h|u|m|double|-
Norfolk Terrier|4.5-5.5|5-6|a|u|m|wire|-
Norwegian Elkhound|20-23|22-26|a|u|m|double|-
Nova Scotia Duck Tolling Retriever|16-20|20-23|a|u|m|double|-
Old English Sheepdog|27-36|32-45|a|u|m|long|-
Papillon|2.5-4.5|3-5|s|u|m|long|t
Parson Russell Terrier|5-7|6-8|a|u|m|smooth|-
Patterdale Terrier|5-6|6-7|a|u|m|short|-
Pekingese|3-5.5|3.5-5.5|a|u|f|long|b
Pembroke Welsh Corgi|9-12|10-14|a|u|m|double|-
Pharaoh Hound|18-23|20-27|s|e|l|smooth|-
Pointer|20-30|25-34|a|u|l|smooth|-
Pomeranian|1.8-3|1.8-3|s|u|m|double|t
Poodle|18-25|20-32|s|u|l|curly|-
Poodle (miniature)|4.5-7|5-8|s|u|l|curly|-
Poodle (toy)|2-3.5|2.5-4|s|u|l|curly|t
Portuguese Water Dog|16-23|19-27|a|u|m|curly|-
Presa Canario|38-50|45-58|h|r|m|short|-
Pug|6-8|6.5-9|h|r|f|smooth|b
Puli|10-13|13-15|a|u|m|curly|-
Pyrenean Mountain Dog|36-50|45-60|h|u|m|double|-
Rat Terrier|4-10|5-11|a|u|m|smooth|-
Rhodesian Ridgeback|29-34|34-40|a|u|m|smooth|-
Rottweiler|35-48|45-60|h|r|m|short|-
Rough Collie|18-29|20-34|a|e|l|double|-
Saluki|14-22|18-30|s|e|l|smooth|-
Samoyed|16-25|20-30|a|u|m|double|-
Schipperke|3-7|4-9|a|u|m|double|-
Scottish Deerhound|34-43|38-50|s|e|l|wire|-
Scottish Terrier|8-10|8.5-11|a|u|l|wire|-
Shar Pei|18-25|20-30|h|r|m|short|b
Shetland Sheepdog|6-10|7-11|a|e|l|double|-
Shiba Inu|6.5-9|8-11|a|u|m|double|-
Shih Tzu|4-7|4.5-8|a|u|f|long|b
Siberian Husky|16-23|20-27|a|u|m|double|-
Soft-coated Wheaten Terrier|14-18|16-20|a|u|m|curly|-
Spinone Italiano|28-34|32-39|a|u|l|wire|-
St. Bernard|54-70|64-82|h|u|m|double|-
Staffordshire Bull Terrier|11-16|13-18|h|r|m|smooth|-
Standard Schnauzer|13-18|16-22|a|u|m|wire|-
Tibetan Mastiff|32-55|40-68|h|u|m|double|-
Tibetan Terrier|8-12|9-14|a|u|m|long|-
Vizsla|18-27|22-30|a|u|m|smooth|-
Weimaraner|25-35|30-40|a|u|l|smooth|-
Welsh Springer Spaniel|16-20|18-24|a|u|m|long|-
Welsh Terrier|8-9|9-10|a|u|l|wire|-
West Highland White Terrier|6-7.5|7-10|a|u|m|wire|-
Whippet|9-15|11-19|s|e|l|smooth|-
White Swiss Shepherd Dog|25-35|30-40|a|u|m|double|-
Wire Fox Terrier|6-7.5|7-9|a|u|l|wire|-
Wirehaired Vizsla|20-27|23-30|a|u|m|wire|-
Xoloitzcuintle|9-23|10-25|s|u|l|hairless|-
Yorkshire Terrier|2-3.2|2.2-3.5|s|u|m|long|t
`;

/** Common crosses, in the same form. From memory. */
export const CROSS_TABLE = `
Labrador × Poodle|18-28|22-34|a|u|m|curly|-
Golden Retriever × Poodle|18-27|20-32|a|u|m|curly|-
Cocker Spaniel × Poodle|6-11|7-12|a|u|m|curly|-
Labrador × German Shepherd|24-34|28-40|a|u|m|double|-
Border Collie × Labrador|18-27|20-30|a|u|m|double|-
German Shepherd × Malinois|22-32|26-38|a|u|m|double|-
Jack Russell × Chihuahua|3-6|3.5-7|s|u|m|smooth|t
Lurcher (sighthound × working dog)|18-30|20-34|s|e|l|short|-
Collie × Greyhound|18-28|20-32|s|e|l|short|-
Springer × Labrador|20-29|23-32|a|u|m|short|-
Husky × German Shepherd|20-32|25-38|a|u|m|double|-
Staffordshire × Labrador|18-28|22-32|h|r|m|short|-
Mongrel, small|5-10|5-10|a|u|m|short|-
Mongrel, middling|10-25|10-25|a|u|m|short|-
Mongrel, large|25-40|25-40|a|u|m|short|-
`;

/**
 * How the ears of a breed stand, for its likeness in drawings: those that stand up, and those that fold back or over; all others hang. From memory.
 */
export const EARS_UP =
  'Akita|Alaskan Malamute|American Eskimo Dog|Australian Cattle Dog|Australian Kelpie|Australian Terrier|Basenji|Beauceron|Belgian Shepherd|Boston Terrier|Bull Terrier|Cairn Terrier|Cardigan Welsh Corgi|Chihuahua|Chinese Crested Dog|Chow Chow|Dutch Shepherd|Eurasier|Finnish Spitz|French Bulldog|German Shepherd|Ibizan Hound|Keeshond|Miniature Bull Terrier|Mudi|Norwegian Elkhound|Papillon|Pembroke Welsh Corgi|Pharaoh Hound|Pomeranian|Samoyed|Schipperke|Scottish Terrier|Shiba Inu|Siberian Husky|West Highland White Terrier|White Swiss Shepherd Dog|Xoloitzcuintle|Yorkshire Terrier|German Shepherd × Malinois|Husky × German Shepherd|Jack Russell × Chihuahua';
export const EARS_FOLDED =
  'American Pit Bull Terrier|American Staffordshire Terrier|Bedlington Terrier|Border Collie|Borzoi|Bulldog|Greyhound|Irish Wolfhound|Italian Greyhound|Rough Collie|Scottish Deerhound|Shetland Sheepdog|Staffordshire Bull Terrier|Whippet|Lurcher (sighthound × working dog)|Collie × Greyhound';
